'use client'

import Link from 'next/link'
import { useMemo, useState } from 'react'
import { pages } from '@/boundary/paths'
import { goOn } from '@/core/practice/ask'
import type { Question } from '@/core/practice/question'
import type { PracticeGo } from '@/data/practice/goes'
import { useKeepOpen } from '@/ui/offline/use-keep-open'
import { BackLink } from '@/ui/shell/BackLink'
import { AskedQuestion } from './AskedQuestion'
import { GoResult } from './GoResult'
import { useGo } from './use-go'

interface PracticeGoSheetProps {
  readonly go: PracticeGo
  readonly title: string
  readonly address: string
  /** What is said where there is nothing to ask. */
  readonly nothing: string
}

/** Questions one after the other, and then how they went. What one comes back to is the go that one left. */
export function PracticeGoSheet({ go: given, title, address, nothing }: PracticeGoSheetProps) {
  // The house knows another seed as soon as this go is kept: the questions stay those that were asked.
  const [go, setGo] = useState(given)
  const questions = useMemo(() => goOn(go.cards, go.owns, go.seed), [go])
  // Where the house has not answered with another yet, the same cards are asked otherwise.
  const again = () => setGo({ ...given, seed: given.seed === go.seed ? go.seed + 1 : given.seed })
  const key = `${address} ${go.seed} ${questions.map(({ card }) => card).join()}`
  return (
    <section className="sheet p-4 md:p-6" aria-labelledby="practice">
      <BackLink to={pages.practice}>Practice</BackLink>
      <h1 id="practice" className="text-2xl font-semibold">
        {title}
      </h1>
      {questions.length === 0 ? (
        <p className="mt-3">
          {nothing}{' '}
          <Link className="underline" href={pages.practice}>
            Choose a drill
          </Link>
        </p>
      ) : (
        <Going
          key={key}
          id={key}
          go={go}
          questions={questions}
          title={title}
          address={address}
          onAgain={again}
        />
      )}
    </section>
  )
}

interface GoingProps {
  readonly id: string
  readonly go: PracticeGo
  readonly questions: readonly Question[]
  readonly title: string
  readonly address: string
  readonly onAgain: () => void
}

function Going({ id, go, questions, title, address, onAgain }: GoingProps) {
  const { answers, outcome, take } = useGo({ key: id, address, title, questions })
  useKeepOpen(address)
  const question = questions[answers.length]
  const own = question && go.owns.find(({ instrument }) => instrument.slug === question.slug)
  if (!question || !own)
    return <GoResult go={go} questions={questions} answers={answers} outcome={outcome} onAgain={onAgain} />
  return (
    <AskedQuestion
      key={answers.length}
      own={own}
      question={question}
      count={`${answers.length + 1} of ${questions.length}`}
      isLast={answers.length === questions.length - 1}
      onDone={take}
    />
  )
}
