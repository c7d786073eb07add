'use client'

import { useCallback, useEffect, useMemo, useRef } from 'react'
import type { Among, Heard } from '@/core/ear/listener'
import { voiceOf } from '@/core/ear/string-voice'
import { STRAYS } from '@/core/ear/which-plucked'
import type { Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { centsAbove } from '@/core/pitch/cents'
import { frequencyIn, type Temperament } from '@/core/temper/temperament'
import { useEar } from './use-ear'

/** A string that was heard, by its index, and how far from where it belongs, cents. */
export interface StringHeard {
  readonly string: number
  readonly cents: number
  /** Which pluck it was of. */
  readonly pluck: number
}

/** A reading less sure than this is not counted, cents. */
const UNSURE = 1.5

/** Frequencies that an instrument's strings are tuned to in a temperament, Hz. */
export function targetsIn(
  { positions, referenceA }: Instrument,
  temperament: Temperament,
): readonly number[] {
  return positions.map(({ note }) => frequencyIn(temperament, note, referenceA))
}

/**
 * Listens to a whole instrument, and tells which string is plucked.
 *
 * @param next - index of the string whose turn it is
 * @param onString - is told of every reading that is sure enough
 */
export function useRoundEar(
  instrument: Instrument,
  temperament: Temperament,
  next: number,
  onString: (heard: StringHeard) => void,
) {
  const targets = useMemo(() => targetsIn(instrument, temperament), [instrument, temperament])
  const strings = useMemo(
    () =>
      instrument.positions.map((position, i) => {
        const { hz, inharmonicity } = voiceOf(position, instrument.referenceA, targets[i])
        return { hz, inharmonicity, spread: STRAYS }
      }),
    [instrument, targets],
  )
  const expected = itemAt(strings, next)
  const among = useMemo((): Among => ({ strings, next }), [strings, next])
  const ear = useEar(expected, among)
  const told = useRef(onString)
  useEffect(() => {
    told.current = onString
  }, [onString])
  const take = useCallback(
    ({ reading, which, pluck }: Heard) => {
      if (which === null || reading.hz === null || reading.error > UNSURE) return
      told.current({ string: which, cents: centsAbove(reading.hz, itemAt(targets, which)), pluck })
    },
    [targets],
  )
  return { ear, take, targets }
}
