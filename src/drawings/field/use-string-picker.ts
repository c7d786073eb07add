'use client'

import { useCallback, useEffect, useState } from 'react'
import { letterStep } from '@/core/pitch/note'
import type { Instrument } from '@/core/instrument/instrument'

export interface StringPicker {
  readonly selected: number
  readonly pick: (number: number) => void
  /** Moves by keys; true when the key was one of the field's. */
  readonly moveBy: (key: string) => boolean
}

/** The address follows when the keys have come to rest: the router renders anew for every change of it. */
const ADDRESS_AFTER_MS = 250

/** The picked string, kept in the address so that a page can be linked to and come back to. */
export function useStringPicker(instrument: Instrument, start: number): StringPicker {
  const [selected, setSelected] = useState(start)
  const last = instrument.positions.length

  const pick = useCallback((number: number) => setSelected(Math.min(last, Math.max(1, number))), [last])

  useEffect(() => {
    const timer = setTimeout(() => {
      const address = new URL(window.location.href)
      address.searchParams.set('string', String(selected))
      window.history.replaceState(window.history.state, '', address)
    }, ADDRESS_AFTER_MS)
    return () => clearTimeout(timer)
  }, [selected])

  const moveBy = useCallback(
    (key: string) => {
      const to = target(instrument, selected, key)
      if (to === null) return false
      pick(to)
      return true
    },
    [instrument, selected, pick],
  )

  return { selected, pick, moveBy }
}

/** Longer strings lie to the left. */
function target(instrument: Instrument, from: number, key: string): number | null {
  switch (key) {
    case 'ArrowRight':
    case 'ArrowUp':
      return from - 1
    case 'ArrowLeft':
    case 'ArrowDown':
      return from + 1
    case 'PageUp':
      return octaveAway(instrument, from, 7)
    case 'PageDown':
      return octaveAway(instrument, from, -7)
    case 'Home':
      return 1
    case 'End':
      return instrument.positions.length
    default:
      return null
  }
}

function octaveAway({ positions }: Instrument, from: number, steps: number): number {
  const here = positions[from - 1]
  const there = here && positions.find((p) => letterStep(p.note) === letterStep(here.note) + steps)
  return there?.number ?? (steps > 0 ? 1 : positions.length)
}
