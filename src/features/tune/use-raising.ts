'use client'

import { useCallback, useMemo, useRef, useState } from 'react'
import { keyBetween, type StringOnPin } from '@/core/ear/key-between'
import { isCaught, learned, safeTurn, UNTURNED, type TurnBelief } from '@/core/ear/stiffness'

export interface Raising {
  readonly belief: TurnBelief
  /** The last turn should have raised it, and did not. */
  readonly caught: boolean
  /** Degrees of the key that are left in all, and those to turn now; null before it was heard. */
  readonly left: number | null
  readonly turn: number | null
  /** Takes a reading, Hz, and how far the key was turned since the one before, where that is known. */
  readonly take: (hz: number, turned: number | null) => void
}

/** Bringing a string up: what is left to turn, and what its own turns have told about it. */
export function useRaising(string: StringOnPin, target: number): Raising {
  const [belief, setBelief] = useState<TurnBelief>(UNTURNED)
  const [caught, setCaught] = useState(false)
  const [at, setAt] = useState<number | null>(null)
  // Readings come from outside, some before the page is drawn again.
  const last = useRef<number | null>(null)
  const known = useRef<TurnBelief>(UNTURNED)
  const take = useCallback(
    (hz: number, turned: number | null) => {
      const before = last.current
      last.current = hz
      setAt(hz)
      if (before === null || turned === null || turned <= 0) return
      const expected = keyBetween(string, before, hz)
      setCaught(isCaught(known.current, expected, turned))
      if (isCaught(known.current, expected, turned)) return
      known.current = learned(known.current, expected, turned)
      setBelief(known.current)
    },
    [string],
  )
  const left = useMemo(() => (at === null ? null : keyBetween(string, at, target)), [string, at, target])
  return {
    belief,
    caught,
    left: left === null ? null : left * belief.factor,
    turn: left === null ? null : safeTurn(belief, left),
    take,
  }
}
