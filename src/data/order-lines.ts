/**
 * All that an order must say of a string, line by line.
 */
import { fittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { gaugeOf, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { stringNames } from '@/core/instrument/names'
import { endToOrder } from '@/core/knots/fastenings'
import { materialWord } from '@/core/strings/construction'
import { formatLength } from '@/core/units/length'

export type OrderLine = readonly [what: string, text: string]

/** The lines of an order for one position's charted string. */
export function orderLinesFor(instrument: Instrument, position: StringPosition, habits: Habits, unit: 'mm' | 'in'): readonly OrderLine[] {
  const names = stringNames(instrument, position)
  const { construction } = position
  const gauge = (metres: number) => formatLength(metres, { unit, digits: unit === 'mm' ? 2 : 3 })
  const cut = Math.ceil(fittingFigures(instrument, position, habits).cut.total * 100) / 100
  return [
    ['Note', `${names.harpOctave}, octaves counted E to F from the treble; ${names.scientific} in scientific pitch`],
    ['Sounds at rest', `${names.sounding}, ${names.frequency.toFixed(1)} Hz`],
    ['Number', `${names.fromTop} from the top of ${instrument.positions.length}${names.maker ? `, maker’s label ${names.maker}` : ''}`],
    ['Material', materialWord(construction)],
    ['Gauge', construction.kind === 'plain' ? gauge(gaugeOf(position)) : `${gauge(gaugeOf(position))}; core ${gauge(construction.core.diameter)}, wrap ${gauge(construction.wrap.diameter)}`],
    ...(position.askedMake === null ? [] : [['Make and line', position.askedMake] as const]),
    ['Colour', position.colour],
    ['Tension class', instrument.tensionClass],
    ['End', endToOrder(position.tail.fastening)],
    ['Length', `at least ${formatLength(cut, { unit, digits: unit === 'mm' ? 0 : 1 })}`],
    ['Instrument', `${instrument.maker}, ${instrument.model}, as its owner wrote them`],
  ]
}
