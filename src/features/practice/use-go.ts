'use client'

import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useState } from 'react'
import type { Answer, Question } from '@/core/practice/question'
import { begunHere, benchHere, keepBegun, sendBegun, type GivenAt } from './begun'

export interface Going {
  readonly answers: readonly GivenAt[]
  /** Null while it goes on; then what became of its answers. */
  readonly outcome: string | null
  readonly take: (answer: Answer) => void
}

interface OfGo {
  readonly key: string
  readonly address: string
  readonly title: string
  readonly questions: readonly Question[]
}

/** One go through its questions: taken up where it was left, and sent when it is through. */
export function useGo({ key, address, title, questions }: OfGo): Going {
  const router = useRouter()
  const [answers, setAnswers] = useState<readonly GivenAt[]>([])
  const [outcome, setOutcome] = useState<string | null>(null)
  const count = questions.length

  useEffect(() => {
    const begun = begunHere()
    if (!begun) return
    // Another go was left half way: what was answered in it is sent, and this one begins.
    if (begun.key !== key || begun.by !== benchHere() || begun.answers.length >= count) void sendBegun(begun)
    // eslint-disable-next-line react-hooks/set-state-in-effect -- only the browser knows what was begun on it
    else setAnswers(begun.answers)
  }, [key, count])

  const take = useCallback(
    (answer: Answer) => {
      const one = { ...answer, at: Date.now() }
      setAnswers([...answers, one])
      // Another window may have begun a go of its own meanwhile, and sent what was half done in this one.
      const there = begunHere()
      if (there && there.key !== key) void sendBegun(there)
      const unsent = there?.key === key ? there.answers : []
      const begun = { key, address, title, count, by: benchHere(), answers: [...unsent, one] }
      keepBegun(begun)
      if (answers.length + 1 < count) return
      setOutcome('sending')
      void sendBegun(begun).then((became) => {
        setOutcome(became)
        if (became === 'kept') router.refresh()
      })
    },
    [answers, key, address, title, count, router],
  )
  return { answers, outcome, take }
}
