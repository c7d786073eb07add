import { useEffect, useMemo, useRef, useState } from 'react'
import type { Instrument } from '@/core/instrument/instrument'
import { Batches } from '@/core/restring/batch'
import { restringBench, type RestringBy } from '@/core/restring/bench-of'
import { problemOf } from '@/core/restring/checked'
import { judged, type JudgedPlan } from '@/core/restring/judged'
import { goMoved, movedTo } from '@/core/restring/moved'
import type { RestringWay } from '@/core/restring/schools'
import { startRestringPlan } from '@/workers/restring'
import type { RestringAnswer } from '@/workers/restring.worker'

export interface Planned {
  /** Null while nothing is worked out yet. */
  readonly answer: RestringAnswer | null
  readonly progress: { readonly done: number; readonly of: number } | null
  readonly stop: () => void
  readonly way: RestringWay | null
  readonly takeWay: (way: RestringWay) => void
  /** The order that is shown: a way’s, or one that was changed by hand. */
  readonly plan: JudgedPlan | null
  /** Why a string could not be put where it was to be. */
  readonly refused: string | null
  /** Puts a string into another go; it stays where it was where that can’t be. */
  readonly move: (id: number, to: number) => void
  readonly moveGo: (go: number, by: 1 | -1) => void
}

/** The plans of a restring, worked out anew in a worker for every choice of strings. */
export function usePlan(
  instrument: Instrument,
  chosen: readonly number[],
  by: RestringBy,
  nameOf: (id: number) => string,
): Planned {
  const [answer, setAnswer] = useState<RestringAnswer | null>(null)
  const [progress, setProgress] = useState<Planned['progress']>(null)
  const [way, setWay] = useState<RestringWay | null>('least time')
  const [byHand, setByHand] = useState<readonly (readonly number[])[] | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const running = useRef<{ readonly stop: () => void } | null>(null)
  useEffect(() => {
    running.current?.stop()
    setAnswer(null)
    setByHand(null)
    setRefused(null)
    setWay('least time')
    if (chosen.length === 0) {
      setProgress(null)
      return
    }
    setProgress({ done: 0, of: 1 })
    let isOver = false
    const planning = startRestringPlan(instrument, chosen, by, (done, of) => {
      if (!isOver) setProgress({ done, of })
    })
    running.current = planning
    void planning.answer.then((got) => {
      isOver = true
      setProgress(null)
      setAnswer(got)
    })
    return () => {
      isOver = true
      planning.stop()
    }
  }, [instrument, chosen, by])

  const batches = useMemo(() => {
    if (!answer?.ok) return null
    return new Batches(restringBench(instrument, chosen, by))
  }, [answer, instrument, chosen, by])
  const ofWay = answer?.ok ? (answer.ways.find((one) => one.way === way) ?? answer.ways[0]) : undefined
  const plan = useMemo(
    () => (byHand && batches && ofWay ? judged(instrument, batches, byHand, ofWay.rounds) : (ofWay ?? null)),
    [byHand, batches, ofWay, instrument],
  )
  const take = (goes: readonly (readonly number[])[]) => {
    if (!batches) return
    const problem = problemOf(instrument, batches, goes, ({ number }) => nameOf(number))
    setRefused(problem)
    if (!problem) setByHand(goes)
  }
  const goes = plan?.batches.map(({ ids }) => ids) ?? []
  return {
    answer,
    progress,
    stop: () => {
      running.current?.stop()
      setProgress(null)
    },
    way: byHand ? null : way,
    takeWay: (one) => {
      setWay(one)
      setByHand(null)
      setRefused(null)
    },
    plan,
    refused,
    move: (id, to) => batches && take(movedTo(batches, goes, id, to)),
    moveGo: (go, step) => take(goMoved(goes, go, step)),
  }
}
