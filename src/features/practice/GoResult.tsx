import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { Answer, Question } from '@/core/practice/question'
import type { PracticeGo } from '@/data/practice/goes'

interface GoResultProps {
  readonly go: PracticeGo
  readonly questions: readonly Question[]
  readonly answers: readonly Answer[]
  /** What became of the answers: `kept`, `waits`, or why they were not. */
  readonly outcome: string | null
  readonly onAgain: () => void
}

/** How a go went: measured, and what was mistaken for what. */
export function GoResult({ go, questions, answers, outcome, onAgain }: GoResultProps) {
  const wrong = answers.flatMap((answer, i) => (answer.isRight ? [] : [{ answer, question: questions[i] }]))
  const times = answers.map(({ took }) => took / 1000).sort((a, b) => a - b)
  const middle = times[times.length >> 1] ?? 0
  const about = new Map(go.cards.map((card) => [card.id, card.about]))
  return (
    <div className="mt-3 max-w-2xl" aria-live="polite">
      <p className="text-xl">
        <strong>
          {answers.length - wrong.length} of {answers.length}
        </strong>{' '}
        right; in the middle {middle.toFixed(middle < 10 ? 1 : 0)} s each, from {(times[0] ?? 0).toFixed(0)}{' '}
        to {(times.at(-1) ?? 0).toFixed(0)}.
      </p>
      {wrong.length > 0 && (
        <ul className="ruled mt-3" aria-label="What was mistaken">
          {wrong.map(({ answer, question }, i) => (
            <li key={i} className="py-2">
              <strong className="inline-block first-letter:uppercase">
                {about.get(answer.card) ?? answer.card}
              </strong>
              : {answer.mistake}. {question?.asks}
              {question?.kind === 'pick' && (
                <em> {question.choices.find(({ mistake }) => mistake === null)?.words}.</em>
              )}
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 text-sm text-soft">{OUTCOMES[outcome ?? ''] ?? outcome}</p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Link className="button button-main" href={pages.practice}>
          Done
        </Link>
        {outcome === 'kept' && (
          <button type="button" className="button" onClick={onAgain}>
            Once more
          </button>
        )}
      </div>
    </div>
  )
}

const OUTCOMES: Readonly<Record<string, string>> = {
  kept: 'It is kept, and can be undone in the history. What was wrong comes again tomorrow.',
  sending: 'It is being kept.',
  waits: 'It is kept on this device, and sent when the house answers again.',
}
