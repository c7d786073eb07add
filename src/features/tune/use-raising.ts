'use client'

import { useCallback, useReducer } from 'react'
import { keyBetween, type StringOnPin } from '@/core/ear/key-between'
import { isCaught, learned, safeTurn, UNTURNED, type TurnBelief } from '@/core/ear/stiffness'

interface Raised {
  readonly belief: TurnBelief
  /** The last turn should have raised it, and did not. */
  readonly caught: boolean
  /** Where it was heard last, Hz. */
  readonly at: number | null
}

interface Heard {
  readonly string: StringOnPin
  readonly hz: number
  /** How far the key was turned since the reading before, degrees; null where nobody knows. */
  readonly turned: number | null
}

export interface Raising extends Omit<Raised, 'at'> {
  /** Degrees of the key that are left in all, and those to turn now; null before it was heard. */
  readonly left: number | null
  readonly turn: number | null
  /** Takes a reading, Hz, and how far the key was turned since the one before, where that is known. */
  readonly take: (hz: number, turned: number | null) => void
}

function raisedBy({ belief, caught, at }: Raised, { string, hz, turned }: Heard): Raised {
  if (at === null || turned === null || turned <= 0) return { belief, caught, at: hz }
  const expected = keyBetween(string, at, hz)
  return isCaught(belief, expected, turned)
    ? { belief, caught: true, at: hz }
    : { belief: learned(belief, expected, turned), caught: false, at: hz }
}

/** Bringing a string up: what is left to turn, and what its own turns have told about it. */
export function useRaising(string: StringOnPin, target: number): Raising {
  const [{ belief, caught, at }, dispatch] = useReducer(raisedBy, {
    belief: UNTURNED,
    caught: false,
    at: null,
  })
  const take = useCallback((hz: number, turned: number | null) => dispatch({ string, hz, turned }), [string])
  const left = at === null ? null : keyBetween(string, at, target)
  return {
    belief,
    caught,
    left: left === null ? null : left * belief.factor,
    turn: left === null ? null : safeTurn(belief, left),
    take,
  }
}
