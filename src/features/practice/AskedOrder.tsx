'use client'

import { useMemo, useState } from 'react'
import { tailFacts } from '@/core/knots/fastenings'
import { byHandOrStages } from '@/core/knots/film/by-hand'
import { saidFor } from '@/core/knots/tails/said-for'
import { isTail, tightness } from '@/core/knots/tying'
import { FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import type { OrderQuestion } from '@/core/practice/question'
import { frameOf } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'
import { USUAL_LOOK } from '@/drawings/knot/string-look'
import { useDrawn } from '@/drawings/knot/use-drawn'
import { AskedFrame } from './AskedFrame'
import type { AskedProps } from './asked-props'
import { useStopwatch } from './use-stopwatch'

/** Moves laid out in disorder: one takes up what comes next, and what does not come next stays where it is. */
export function AskedOrder({ question, count, isLast, onDone }: AskedProps<OrderQuestion>) {
  const { knot, laidOut, moves } = question
  const [taken, setTaken] = useState(0)
  /** Moves that were taken too early. */
  const [early, setEarly] = useState<readonly number[]>([])
  const [took, setTook] = useState<number | null>(null)
  const elapsed = useStopwatch()
  const drawn = useDrawn()
  const tying = useMemo(() => {
    const anchored = isTail(knot.fastening) && tailFacts(knot.fastening).hold === 'knot'
    return byHandOrStages(knot.fastening, {
      place: knot.place,
      anchored,
      says: moves,
      ...(drawn ? { drawn } : {}),
    })
  }, [knot, moves, drawn])
  const frame = useMemo(() => frameOf(tying, FROM_OUTSIDE, knot.hand), [tying, knot.hand])
  const said = (stage: number) => saidFor(tying.stages[stage]?.says ?? '', { inside: false, hand: knot.hand })
  const last = tying.stages.length - 1
  const take = (stage: number) => {
    if (took !== null) return
    if (stage !== taken) {
      if (!early.includes(stage)) setEarly([...early, stage])
      return
    }
    setTaken(taken + 1)
    // Nobody can be wrong about the one that is left.
    if (taken + 1 >= last) {
      setTaken(last + 1)
      setTook(elapsed())
    }
  }
  const isRight = early.length === 0
  return (
    <AskedFrame
      picture={
        taken === 0 ? (
          <p className="grid h-[16vh] place-items-center border border-dashed border-line p-6 text-center text-soft md:h-[28rem]">
            Nothing is tied yet. Each move is drawn as you take it up.
          </p>
        ) : (
          <KnotDrawing
            state={tying.stateAt(taken)}
            frame={frame}
            view={FROM_OUTSIDE}
            hand={knot.hand}
            title={`${knot.fastening}, ${taken} of ${last + 1} moves made`}
            names={tying.names}
            board={tying.throughBoard ? { bore: USUAL_LOOK.bore } : null}
            tight={tightness(tying, taken) > 0}
            className="mx-auto h-[34vh] w-full md:h-[28rem]"
          />
        )
      }
      asks={question.asks}
      count={count}
      isLast={isLast}
      told={
        took === null
          ? null
          : {
              isRight,
              was: `${early.length === 1 ? 'One move was' : `${early.length} moves were`} taken too early.`,
              teaches: `${isRight ? 'All in their order.' : 'See the list, as it is tied.'}`,
            }
      }
      onNext={() =>
        took !== null &&
        onDone({
          card: question.card,
          drill: question.drill,
          isRight,
          took,
          mistake: isRight ? null : 'a stage too early',
          off: early.length,
        })
      }
    >
      {taken > 0 && (
        <ol className="mt-2 list-inside list-decimal space-y-1" aria-label="In order so far">
          {tying.stages.slice(0, taken).map((_, stage) => (
            <li key={stage}>{said(stage)}</li>
          ))}
        </ol>
      )}
      {took === null && (
        <>
          <p className="label mt-3">What comes {taken === 0 ? 'first' : 'next'}?</p>
          <ul className="mt-1 grid gap-2">
            {laidOut
              .filter((stage) => stage >= taken)
              .map((stage) => (
                <li key={stage}>
                  <button
                    type="button"
                    className={`button min-h-12 w-full justify-start text-left ${early.includes(stage) ? 'border-ochre bg-ochre-wash' : ''}`}
                    onClick={() => take(stage)}
                  >
                    {said(stage)}
                  </button>
                  {early.includes(stage) && <p className="text-sm">Not yet: it comes later.</p>}
                </li>
              ))}
          </ul>
        </>
      )}
    </AskedFrame>
  )
}
