/**
 * All that an order must say of a string, line by line.
 */
import { makeLine } from '@/core/instrument/about-line'
import { fittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { gaugeOf, soldByClass, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { countedFromWord, leadingNames, spokenLine, stringNames } from '@/core/instrument/names'
import { endToOrder } from '@/core/knots/fastenings'
import { materialWord } from '@/core/strings/construction'
import { formatLength, gaugeText } from '@/core/units/length'
import { gaugeUnitOf, type Workshop } from '../workshop/settings'

export type OrderDetail = readonly [what: string, text: string]

/** The lines of an order for one position's charted string. */
export function orderDetailsFor(
  instrument: Instrument,
  position: StringPosition,
  habits: Habits,
  workshop: Pick<Workshop, 'unit' | 'gaugesInThou'>,
): readonly OrderDetail[] {
  const { unit } = workshop
  const names = stringNames(instrument, position)
  const { construction } = position
  const tensionClass = soldByClass(instrument)
  const harp = position.called.by === 'harp octave' || habits.octaveNames === 'E-to-F octaves'
  const gauge = (metres: number) => gaugeText(metres, gaugeUnitOf(workshop))
  const cut = Math.ceil(fittingFigures(instrument, position, habits).cut.total * 100) / 100
  return [
    ['Say it', spokenLine(instrument, position, habits.octaveNames)],
    [
      'Note',
      harp
        ? `${names.harpOctave}, octaves counted E to F from the treble; ${names.scientific} in scientific pitch`
        : `${leadingNames(position, habits.octaveNames).name}; ${names.scientific} in scientific pitch`,
    ],
    ['Sounds at rest', `${names.sounding}, ${names.frequency.toFixed(1)} Hz`],
    [
      'Number',
      `${position.called.number} ${countedFromWord(instrument)} of ${instrument.positions.length}${names.maker ? `, maker’s label ${names.maker}` : ''}`,
    ],
    ['Material', materialWord(construction)],
    [
      'Gauge',
      construction.kind === 'plain'
        ? gauge(gaugeOf(position))
        : `${gauge(gaugeOf(position))}; core ${gauge(construction.core.diameter)}, wrap ${gauge(construction.wrap.diameter)}`,
    ],
    ...(position.askedMake === null ? [] : [['Make and line', position.askedMake] as const]),
    ['Colour', position.colour],
    ...(tensionClass === null ? [] : [['Tension class', tensionClass] as const]),
    ['End', endToOrder(position.tail.fastening)],
    ['Length', `at least ${formatLength(cut, { unit, digits: unit === 'mm' ? 0 : 1 })}`],
    [
      'Instrument',
      `${makeLine(instrument) || instrument.family}${makeLine(instrument) ? ', as its owner wrote them' : ''}${instrument.strung === 'as usual' ? '' : '; strung the other way round'}`,
    ],
  ]
}
