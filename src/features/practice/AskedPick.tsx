'use client'

import { Check, X } from 'lucide-react'
import { useState } from 'react'
import { requireValue } from '@/core/list/require-value'
import type { Choice } from '@/core/practice/choice'
import type { PickQuestion } from '@/core/practice/question'
import { useKeys } from '@/ui/shell/use-keys'
import { AskedFrame } from './AskedFrame'
import type { AskedProps } from './asked-props'
import { ShownPicture } from './ShownPicture'
import { TypedName } from './TypedName'
import { useStopwatch } from './use-stopwatch'

/** One of a few answers is chosen, by hand or by its number. */
export function AskedPick({ own, question, count, isLast, onDone }: AskedProps<PickQuestion>) {
  const [chosen, setChosen] = useState<{ readonly choice: Choice; readonly took: number } | null>(null)
  const elapsed = useStopwatch()
  const { choices } = question
  const choose = (choice: Choice | undefined) => {
    if (choice && !chosen) setChosen({ choice, took: elapsed() })
  }
  useKeys({
    '1': () => choose(choices[0]),
    '2': () => choose(choices[1]),
    '3': () => choose(choices[2]),
    '4': () => choose(choices[3]),
  })
  const right = requireValue(choices.find(({ mistake }) => mistake === null))
  const isRight = chosen?.choice.mistake === null
  return (
    <AskedFrame
      picture={<ShownPicture own={own} question={question} chosen={chosen?.choice ?? null} />}
      asks={question.asks}
      count={count}
      isLast={isLast}
      told={
        chosen && {
          isRight,
          was: `It was: ${right.words.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase())}.`,
          teaches: chosen.choice.teaches,
        }
      }
      onNext={() =>
        chosen &&
        onDone({
          card: question.card,
          drill: question.drill,
          isRight,
          took: chosen.took,
          mistake: chosen.choice.mistake,
          off: null,
        })
      }
    >
      <ol className="mt-3 grid gap-2">
        {choices.map((choice, i) => (
          // On a phone what is neither right nor chosen makes room for the picture.
          <li
            key={choice.words}
            className={chosen && choice !== right && choice !== chosen.choice ? 'max-md:hidden' : ''}
          >
            <button
              type="button"
              className={`button min-h-14 w-full justify-start text-left text-lg ${markOf(choice, chosen?.choice ?? null)}`}
              aria-disabled={chosen !== null}
              onClick={() => choose(choice)}
            >
              <span className="w-6 shrink-0 text-soft" aria-hidden>
                {i + 1}
              </span>
              {choice.words}
              {chosen && choice === right && (
                <Check className="ml-auto shrink-0 text-verdigris" aria-label="right" />
              )}
              {chosen?.choice === choice && choice !== right && (
                <X className="ml-auto shrink-0 text-ochre" aria-label="not this one" />
              )}
            </button>
          </li>
        ))}
      </ol>
      {question.shows.what === 'broken string' && !chosen && (
        <TypedName own={own} number={question.number} onName={choose} />
      )}
    </AskedFrame>
  )
}

function markOf(choice: Choice, chosen: Choice | null): string {
  if (!chosen) return ''
  if (choice.mistake === null) return 'border-verdigris bg-verdigris-wash'
  return choice === chosen ? 'border-ochre bg-ochre-wash' : ''
}
