/**
 * What a person measures in a step, as it is typed.
 */
import type { Asked } from '@/core/fitting/step'
import { MOST_CYCLES } from '@/core/settle/stretching'
import { typedNumber } from '@/core/units/typed-number'
import { CUT, GAUGE, readLength } from './length-text'

const LENGTHS = { gauge: GAUGE, cut: CUT } as const
const NUMBERS = {
  turns: { least: 0, most: 40, sentence: 'Turns given: expected a number from 0 to 40, such as 2.5.' },
  wraps: { least: 0.25, most: 20, sentence: 'Wraps: expected a number from 0.25 to 20, such as 3.25.' },
  cycles: {
    least: 0,
    most: MOST_CYCLES,
    sentence: `Cycles given: expected a whole number from 0 to ${MOST_CYCLES}.`,
  },
  cents: { least: -300, most: 300, sentence: 'Cents: expected a number from −300 to 300; flat is negative.' },
} as const

/**
 * Reads what was typed.
 *
 * @returns the length in m, or the number; null where nothing was typed
 * @throws RangeError with a sentence that can be shown
 */
export function readMeasured(what: Asked, text: string, unit: 'mm' | 'in'): number | null {
  if (text.trim() === '') return null
  if (what === 'gauge' || what === 'cut') {
    const read = readLength(text, unit, LENGTHS[what])
    if (typeof read === 'string') throw new RangeError(read)
    return read
  }
  const { least, most, sentence } = NUMBERS[what]
  const value = typedNumber(text)
  if (value === null || value < least || value > most || (what === 'cycles' && !Number.isInteger(value)))
    throw new RangeError(sentence)
  return value
}

/** What is wrong with what was typed, one sentence; null where nothing is. */
export function measuredProblem(what: Asked, text: string, unit: 'mm' | 'in'): string | null {
  try {
    readMeasured(what, text, unit)
    return null
  } catch (error) {
    return (error as RangeError).message
  }
}
