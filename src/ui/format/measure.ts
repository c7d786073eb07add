/**
 * Figures of the core in the units and the rounding a person reads them in.
 */
import type { Measure, Phrase, Quantity } from '@/core/measure'
import { signed } from '@/core/pitch/cents'
import { lengthFigure } from '@/core/units/length'

export interface Shown {
  readonly figure: string
  readonly unit: string
}

const INCH = 0.0254

/** What lengths are shown in, and gauges with them or in thousandths of an inch by themselves. */
export type Units = 'mm' | 'in' | 'mm, gauges in thou' | 'in, gauges in thou'

/** What a house shows. */
export function unitsOf(workshop: { readonly unit: 'mm' | 'in'; readonly gaugesInThou: boolean }): Units {
  return workshop.gaugesInThou ? `${workshop.unit}, gauges in thou` : workshop.unit
}

const lengthUnit = (units: Units): 'mm' | 'in' => (units.startsWith('mm') ? 'mm' : 'in')

type Show = (value: number, unit: 'mm' | 'in') => Shown

const fixed =
  (unit: string, digits: number, scale = 1): Show =>
  (value) => ({ figure: (value * scale).toFixed(digits).replace('-', '−'), unit })

/** To a tenth where it is not whole; one is told in the singular. */
const counted =
  (one: string): Show =>
  (value) => {
    const figure = trimmed(value.toFixed(1)).replace('-', '−')
    return { figure, unit: figure === '1' ? one : `${one}s` }
  }

const byCalliper: Show = (value, unit) =>
  unit === 'mm'
    ? { figure: lengthFigure(value, { unit: 'mm', digits: 2 }), unit: 'mm' }
    : { figure: lengthFigure(value, { unit: 'in', digits: 3 }).replace(/^0/, ''), unit: 'in' }

const SHOW: Record<Quantity, Show> = {
  length: (value, unit) =>
    unit === 'mm'
      ? {
          figure: trimmed(lengthFigure(value, { unit: 'mm', digits: Math.abs(value) < 0.02 ? 1 : 0 })),
          unit: 'mm',
        }
      : {
          figure:
            Math.abs(value) < INCH / 2
              ? lengthFigure(value, { unit: 'in', digits: 3 })
              : lengthFigure(value, { unit: 'in', fractionOf: 16 }),
          unit: 'in',
        },
  gauge: byCalliper,
  width: byCalliper,
  frequency: fixed('Hz', 1),
  force: fixed('N', 0),
  stress: fixed('MPa', 0, 1e-6),
  // More than once round is counted in turns, too: nobody turns a knob by 536°.
  angle: (value, unit) => {
    if (value < 360) return { figure: value.toFixed(value < 20 ? 1 : 0), unit: '°' }
    const turns = counted('turn')(value / 360, unit)
    return { figure: `${value.toFixed(0)}°`, unit: `or ${turns.figure} ${turns.unit}` }
  },
  turns: counted('turn'),
  wraps: counted('wrap'),
  pins: counted('pin'),
  strings: counted('string'),
  semitones: counted('semitone'),
  cents: (value) => {
    // Rounded first: a hair flat is 0, not −0.
    const whole = Math.round(value) || 0
    return { figure: signed(whole), unit: 'cents' }
  },
  share: fixed('%', 1, 100),
  density: fixed('kg/m³', 0),
  'line density': fixed('g/m', 3, 1000),
  number: (value) => ({ figure: String(Number(value.toFixed(2))), unit: '' }),
}

/** A figure and its unit. */
export function showMeasure({ quantity, value }: Measure, units: Units): Shown {
  if (quantity === 'gauge' && units.endsWith('thou'))
    return { figure: trimmed(lengthFigure(value, { unit: 'thou', digits: 1 })), unit: 'thou' }
  return SHOW[quantity](value, lengthUnit(units))
}

/** A figure with its unit, as text. */
export function measureText(measure: Measure, units: Units): string {
  const { figure, unit: word } = showMeasure(measure, units)
  return word === '°' || word === '%' ? figure + word : `${figure} ${word}`.trim()
}

/** A sentence with its figures, as plain text. */
export function phraseWords(phrase: Phrase, units: Units): string {
  return phrase.map((part) => (typeof part === 'string' ? part : measureText(part, units))).join('')
}

function trimmed(figure: string): string {
  return figure.replace(/\.0+$/, '')
}
