import { useCallback, useMemo, useState } from 'react'
import { strayingPartials, type Straying } from '@/core/ear/false-tone'
import type { PitchReading } from '@/core/ear/read-pitch'

/** Plucks that are gone by. */
const KEPT = 3

interface FalseToneHeard {
  /** Partials that stray alike in the last plucks; none where it sounds true. */
  readonly straying: readonly Straying[]
  /** Takes a reading: of a pluck that is read several times the last counts. */
  readonly hear: (pluck: number, reading: PitchReading) => void
  /** What was heard before is of another time. */
  readonly begin: () => void
}

/** Whether the string sounds false by itself, over its last plucks. */
export function useFalseTone(): FalseToneHeard {
  const [plucks, setPlucks] = useState<readonly { readonly pluck: number; readonly reading: PitchReading }[]>(
    [],
  )
  const straying = useMemo(() => strayingPartials(plucks.map(({ reading }) => reading)), [plucks])
  return {
    straying,
    hear: useCallback(
      (pluck, reading) =>
        setPlucks((had) => [...had.filter((one) => one.pluck !== pluck), { pluck, reading }].slice(-KEPT)),
      [],
    ),
    begin: useCallback(() => setPlucks([]), []),
  }
}
