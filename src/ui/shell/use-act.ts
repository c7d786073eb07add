'use client'

import type { Endpoint, ActionResult, RequestBody } from '@/boundary/endpoint'
import { useRouter } from 'next/navigation'
import { useCallback, useState } from 'react'
import { sendOrQueue } from '../offline/send-or-queue'
import { useAnnounce } from './UndoToast'
import { send, type Answer } from './send'

export interface Refused {
  readonly sentence: string
  readonly field: string | null
}

/**
 * Does something on the server: says what was done, with its undoing beside it, and shows the page anew; or keeps the
 * sentence that says why not.
 *
 * @returns `act`, which answers with what came back, or null when it was refused; `actLater`, which keeps it on this device
 *   while the house does not answer, and says whether it was taken or kept; `refused`; and `refuse`, for what is known to
 *   be wrong before it is sent
 */
export function useAct() {
  const router = useRouter()
  const announce = useAnnounce()
  const [refused, setRefused] = useState<Refused | null>(null)
  const told = useCallback(
    <T extends ActionResult>(answer: Answer<T>, sentence: string): T | null => {
      if (!answer.ok) {
        setRefused(answer)
        return null
      }
      announce(sentence, answer.value.actionId)
      router.refresh()
      return answer.value
    },
    [router, announce],
  )
  const act = useCallback(
    async <Body extends object, T extends ActionResult>(
      call: Endpoint<Body, T>,
      body: RequestBody<Body>,
      sentence: string,
    ): Promise<T | null> => {
      setRefused(null)
      return told(await send(call, body), sentence)
    },
    [told],
  )
  const actLater = useCallback(
    async <Body extends object, T extends ActionResult>(
      call: Endpoint<Body, T>,
      body: RequestBody<Body>,
      sentence: string,
    ): Promise<boolean> => {
      setRefused(null)
      const answer = await sendOrQueue(call, body, sentence.replace(/\.$/, ''))
      return answer === 'waits' || told(answer, sentence) !== null
    },
    [told],
  )
  return { act, actLater, refused, refuse: setRefused }
}
