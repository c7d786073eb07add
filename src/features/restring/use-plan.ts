import { useEffect, useMemo, useRef, useState } from 'react'
import type { Instrument } from '@/core/instrument/instrument'
import { Batches } from '@/core/restring/batch'
import { restringBench, type RestringBy } from '@/core/restring/bench-of'
import { problemOf } from '@/core/restring/checked'
import { goesFromBare } from '@/core/restring/from-bare'
import { judged, type JudgedPlan } from '@/core/restring/judged'
import { goMoved, movedTo } from '@/core/restring/moved'
import type { RestringWay } from '@/core/restring/taught-ways'
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
  /** Null while nothing is worked out yet. */
  readonly batches: Batches | null
  /** Why a string could not be put where it was to be. */
  readonly refused: string | null
  /** Puts a string into another go; it stays where it was where that can’t be. */
  readonly move: (id: number, to: number) => void
  readonly moveGo: (go: number, by: 1 | -1) => void
}

/**
 * The plans of a restring, worked out anew in a worker for every choice of strings.
 *
 * @param bareSession - minutes of a session of an instrument that nothing is on; null where its strings are on
 */
export function usePlan(
  instrument: Instrument,
  chosen: readonly number[],
  by: RestringBy,
  nameOf: (id: number) => string,
  bareSession: number | null,
): Planned {
  // What is kept is kept with the choice that it is of: another choice begins anew.
  const [got, setGot] = useState<Of<RestringAnswer>>(null)
  const [reached, setReached] = useState<Of<{ readonly done: number; readonly of: number }>>(null)
  const [stopped, setStopped] = useState<readonly number[] | null>(null)
  const [shown, setShown] = useState<Of<RestringWay>>(null)
  const [moved, setMoved] =
    useState<Of<{ readonly bare: boolean; readonly goes: readonly (readonly number[])[] }>>(null)
  const [said, setSaid] = useState<Of<string>>(null)
  const answer = ofThis(got, chosen)
  const way = ofThis(shown, chosen) ?? 'least time'
  const fromBare = bareSession !== null
  const kept = ofThis(moved, chosen)
  const byHand = kept?.bare === fromBare ? kept.goes : null
  const running = useRef<{ readonly stop: () => void } | null>(null)
  useEffect(() => {
    if (chosen.length === 0) return
    let isOver = false
    const planning = startRestringPlan(instrument, chosen, by, (done, of) => {
      if (!isOver) setReached({ of: chosen, value: { done, of } })
    })
    running.current = planning
    void planning.answer.then((value) => {
      isOver = true
      setGot({ of: chosen, value })
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
  const plan = useMemo(() => {
    if (!batches || !answer?.ok) return null
    if (bareSession !== null) {
      const goes = byHand ?? (bareSession > 0 ? goesFromBare(instrument, batches, bareSession) : [])
      return judged(instrument, batches, goes, answer.bringing?.rounds.length ?? 0, true)
    }
    return byHand && ofWay ? judged(instrument, batches, byHand, ofWay.rounds) : (ofWay ?? null)
  }, [byHand, batches, ofWay, instrument, answer, bareSession])
  const take = (goes: readonly (readonly number[])[]) => {
    if (!batches) return
    const problem = problemOf(instrument, batches, goes, ({ number }) => nameOf(number), fromBare)
    setSaid(problem === null ? null : { of: chosen, value: problem })
    if (problem === null) setMoved({ of: chosen, value: { bare: fromBare, goes } })
  }
  const goes = plan?.batches.map(({ ids }) => ids) ?? []
  const isWaiting = answer === null && chosen.length > 0 && stopped !== chosen
  return {
    answer,
    progress: isWaiting ? (ofThis(reached, chosen) ?? { done: 0, of: 1 }) : null,
    stop: () => {
      running.current?.stop()
      setStopped(chosen)
    },
    way: byHand || fromBare ? null : way,
    takeWay: (value) => {
      setShown({ of: chosen, value })
      setMoved(null)
      setSaid(null)
    },
    plan,
    refused: ofThis(said, chosen),
    batches,
    move: (id, to) => batches && take(movedTo(batches, goes, id, to)),
    moveGo: (go, step) => take(goMoved(goes, go, step)),
  }
}

/** Something of a choice of strings. */
type Of<T> = { readonly of: readonly number[]; readonly value: T } | null

const ofThis = <T>(kept: Of<T>, chosen: readonly number[]): T | null =>
  kept?.of === chosen ? kept.value : null
