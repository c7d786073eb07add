'use client'

import { useMemo, useState } from 'react'
import { saidFor } from '@/core/knots/tails/said-for'
import { tyingOf } from '@/core/knots/tying'
import type { MemoryQuestion } from '@/core/practice/question'
import { KnotPlayer } from '@/drawings/knot/KnotPlayer'
import { useDrawn } from '@/drawings/knot/use-drawn'
import { AskedFrame } from './AskedFrame'
import type { AskedProps } from './asked-props'
import { useStopwatch } from './use-stopwatch'

/** A piece of string is tied with nothing to look at; then the hand's knot is held beside each stage. */
export function AskedMemory({ question, count, isLast, onDone }: AskedProps<MemoryQuestion>) {
  const { knot } = question
  const [took, setTook] = useState<number | null>(null)
  /** For each stage that was compared, whether it was the same. */
  const [same, setSame] = useState<readonly boolean[]>([])
  const elapsed = useStopwatch()
  const drawn = useDrawn()
  const tying = useMemo(
    () => tyingOf(knot.fastening, { place: knot.place, ...(drawn ? { drawn } : {}) }),
    [knot, drawn],
  )
  const stages = tying.stages.length
  const stage = Math.min(same.length, stages - 1)
  const said = saidFor(tying.stages[stage]?.says ?? '', { inside: false, hand: knot.hand })
  const isCompared = same.length === stages
  const wrong = same.filter((is) => !is).length
  return (
    <AskedFrame
      picture={
        took === null ? (
          <div className="grid h-[34vh] place-items-center border border-dashed border-line p-6 text-center md:h-[28rem]">
            <p className="max-w-sm text-lg">
              Take a piece of old string or cord, and something to stand for{' '}
              {tying.end === 'tail' ? 'the board' : 'the pin'}. Tie it now. Nothing is shown until you have.
            </p>
          </div>
        ) : (
          <KnotPlayer
            tying={tying}
            stage={stage}
            hand={knot.hand}
            inside={false}
            slow={false}
            title={`Stage ${stage + 1} of ${knot.fastening}: ${said}`}
            className="h-[34vh] w-full md:h-[28rem]"
          />
        )
      }
      asks={question.asks}
      count={count}
      isLast={isLast}
      told={
        took !== null && isCompared
          ? {
              isRight: wrong === 0,
              was: `${wrong === 1 ? 'One stage was' : `${wrong} stages were`} otherwise.`,
              teaches:
                wrong === 0
                  ? 'Every stage as it is drawn.'
                  : 'Tie it once more, slowly, with the drawing beside you.',
            }
          : null
      }
      onNext={() =>
        took !== null &&
        onDone({
          card: question.card,
          drill: question.drill,
          isRight: wrong === 0,
          took,
          mistake: wrong === 0 ? null : `otherwise from stage ${same.indexOf(false) + 1}`,
          off: wrong,
        })
      }
    >
      {took === null ? (
        <button
          type="button"
          className="button button-main mt-4 min-h-14 w-full text-lg"
          onClick={() => setTook(elapsed())}
        >
          It is tied
        </button>
      ) : (
        !isCompared && (
          <div className="mt-3">
            <p className="label">
              Stage {stage + 1} of {stages}
            </p>
            <p className="text-lg">{said}</p>
            <p className="mt-3 grid gap-2">
              <button
                type="button"
                className="button min-h-14 text-lg"
                onClick={() => setSame([...same, true])}
              >
                Mine is the same
              </button>
              <button
                type="button"
                className="button min-h-14 text-lg"
                onClick={() => setSame([...same, false])}
              >
                Mine is otherwise
              </button>
            </p>
          </div>
        )
      )}
    </AskedFrame>
  )
}
