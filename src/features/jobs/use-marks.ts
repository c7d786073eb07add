'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useState } from 'react'
import { calls } from '@/boundary/calls'
import type { StepKey } from '@/core/fitting/step'
import { send } from '@/ui/shell/send'

interface Mark {
  readonly step: StepKey
  readonly done: boolean
  readonly jobs: readonly [number, ...number[]]
}

const KEY = 'steps marked'
const NO_ANSWER = 'The program does not answer. Go on: what is done is kept here, and sent when it does.'

/** One sending at a time, whichever page began it: marks must arrive in the order they were made. */
let sending: Promise<SentMarks> | null = null

interface SentMarks {
  readonly count: number
  /** False where the program did not answer and some are still kept. */
  readonly all: boolean
  /** Why the last one that was refused was. */
  readonly refused: string | null
}

function flush(): Promise<SentMarks> {
  sending ??= sendKept().finally(() => {
    sending = null
  })
  return sending
}

async function sendKept(): Promise<SentMarks> {
  let count = 0
  let refused: string | null = null
  for (let [next] = kept(); next; [next] = kept()) {
    const answer = await send(calls.markStep(next.jobs[0]), next)
    if (!answer.ok && !answer.answered) return { count, all: false, refused }
    // A mark that is refused, say because the job was finished elsewhere, is not sent again; whoever made it is told.
    keep(kept().slice(1))
    if (!answer.ok) refused = answer.sentence
    count += 1
  }
  return { count, all: true, refused }
}

/**
 * Marks steps done without making anyone wait: each is kept in this browser until the program has it, and sent again
 * when the next one is, or when the page is opened anew.
 */
export function useMarks() {
  const router = useRouter()
  const [waiting, setWaiting] = useState<string | null>(null)
  const sendAll = useCallback(async () => {
    const sent = await flush()
    setWaiting(sent.all ? sent.refused : NO_ANSWER)
    if (sent.refused !== null) router.refresh()
    return sent
  }, [router])
  useEffect(() => {
    if (kept().length > 0)
      void flush().then(({ count }) => {
        if (count > 0) router.refresh()
      })
  }, [router])
  const mark = useCallback(
    (one: Mark) => {
      keep([...kept(), one])
      void sendAll()
    },
    [sendAll],
  )
  return { mark, waiting }
}

function kept(): readonly Mark[] {
  const text = window.localStorage.getItem(KEY)
  return text === null ? [] : (JSON.parse(text) as readonly Mark[])
}

function keep(marks: readonly Mark[]): void {
  if (marks.length === 0) window.localStorage.removeItem(KEY)
  else window.localStorage.setItem(KEY, JSON.stringify(marks))
}
