'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { StepKey } from '@/core/fitting/step'
import { send } from '@/ui/shell/send'

interface Mark {
  readonly step: StepKey
  readonly done: boolean
  readonly jobs: readonly number[]
}

/**
 * Marks steps done without making anyone wait: each is kept in this browser until the program has it, and sent again
 * when the next one is, or when the page is opened anew.
 *
 * @param jobId - names the place where they are kept
 */
export function useMarks(jobId: number) {
  const router = useRouter()
  const [waiting, setWaiting] = useState<string | null>(null)
  const sending = useRef(false)
  const key = `marks of job ${jobId}`

  const flush = useCallback(async (): Promise<number> => {
    if (sending.current) return 0
    sending.current = true
    let sent = 0
    for (let queue = read(key); queue[0]; queue = read(key)) {
      const answer = await send(`/api/jobs/${jobId}/steps`, queue[0])
      if (!answer.ok && answer.sentence.startsWith('The program did not answer')) {
        setWaiting('The program does not answer. Go on: what is done is kept here, and sent when it does.')
        sending.current = false
        return sent
      }
      // A mark that is refused, say because the job was finished elsewhere, is not sent again.
      write(key, read(key).slice(1))
      sent += 1
    }
    setWaiting(null)
    sending.current = false
    return sent
  }, [jobId, key])

  useEffect(() => {
    if (read(key).length === 0) return
    void flush().then((sent) => { if (sent > 0) router.refresh() })
  }, [flush, key, router])

  const mark = useCallback((one: Mark) => {
    write(key, [...read(key), one])
    void flush()
  }, [flush, key])
  return { mark, waiting }
}

function read(key: string): readonly Mark[] {
  const kept = window.localStorage.getItem(key)
  return kept === null ? [] : JSON.parse(kept) as readonly Mark[]
}

function write(key: string, marks: readonly Mark[]): void {
  if (marks.length === 0) window.localStorage.removeItem(key)
  else window.localStorage.setItem(key, JSON.stringify(marks))
}
