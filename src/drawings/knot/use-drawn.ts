'use client'

import { useEffect, useState } from 'react'
import type { DrawnStates } from '@/core/knots/tying'

/** States of the knots being drawn down, fetched when a knot is first looked at; null until they are there. */
export function useDrawn(): DrawnStates | null {
  const [drawn, setDrawn] = useState<DrawnStates | null>(null)
  useEffect(() => {
    let gone = false
    void import('@/core/knots/drawn/states.json').then((states) => {
      if (!gone) setDrawn(states.default as unknown as DrawnStates)
    })
    return () => {
      gone = true
    }
  }, [])
  return drawn
}
