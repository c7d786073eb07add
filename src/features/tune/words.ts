/**
 * What a reading is told as.
 */
import type { NextMark } from '@/core/ear/next-mark'
import type { Unsure } from '@/core/ear/read-pitch'
import type { StringPosition } from '@/core/instrument/instrument'
import { withThe } from '@/core/instrument/with-the'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'

export const BECAUSE: Record<Unsure, string> = {
  silence: 'Nothing is heard yet. Pluck the string.',
  'too loud': 'Too loud: move the microphone away, or pluck more softly.',
  'too soft': 'No string is heard in this. Pluck it once more, nearer to its middle.',
  'two plucked': 'Two strings sound. Rest a thumb on the others, and pluck this one alone.',
  'another string rings': 'Another string rings along. Rest a thumb on it.',
}

/** `−12.3` */
export function centsText(cents: number): string {
  const text = Math.abs(cents).toFixed(1)
  if (text === '0.0') return '0.0'
  return `${cents < 0 ? '−' : '+'}${text}`
}

/** Far from pitch, cents are told as semitones. */
export function standsAt(cents: number): { readonly figure: string; readonly unit: 'cents' | 'semitones' } {
  return Math.abs(cents) < 100
    ? { figure: centsText(cents), unit: 'cents' }
    : { figure: centsText(cents / 100), unit: 'semitones' }
}

/** What a string that is being raised is held against next. */
export function markWords({ mark, against }: NextMark, nameOf: (position: StringPosition) => string): string {
  const other = against && withThe(nameOf(against))
  switch (mark) {
    case 'clear note':
      return 'a low, clear note'
    case 'string below':
      return `level with ${other}, the string below`
    case 'octave below':
      return `an octave above ${other}`
    case 'pitch':
      return 'its own pitch'
  }
}

/** How far to turn, without which way. */
export function degreesText(degrees: number): string {
  return measureText(measure('angle', Math.abs(degrees)), 'mm')
}
