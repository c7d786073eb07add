/**
 * Which strings lie over which: what must come off, or be moved aside, before a covered one can be reached.
 */
import type { Instrument, StringPosition } from './instrument'

/** What lies directly over a position, and nothing else: a crossing on a scroll is loosened by itself. */
export function directlyOver(instrument: Instrument, position: StringPosition): readonly StringPosition[] {
  const over = new Set(
    instrument.coverings.filter(({ under }) => under === position.number).map((c) => c.over),
  )
  return instrument.positions.filter((p) => over.has(p.number))
}

/** Every string of the layers that a string is one of, shortest first, itself among them. */
export function sameLayers(instrument: Instrument, position: StringPosition): readonly StringPosition[] {
  const found = new Set([position.number])
  for (let grew = true; grew;) {
    const before = found.size
    for (const { over, under } of instrument.coverings)
      if (found.has(over) || found.has(under)) found.add(over).add(under)
    grew = found.size > before
  }
  return instrument.positions.filter((p) => found.has(p.number))
}

/**
 * Everything that lies over a position, directly or over something that does, in the order it comes off: the
 * outermost first.
 *
 * @throws RangeError when the chart's layers run in a circle
 */
export function layersOver(instrument: Instrument, position: StringPosition): readonly StringPosition[] {
  const order: StringPosition[] = []
  const onTheWay = new Set<number>()
  const uncover = (number: number) => {
    if (onTheWay.has(number))
      throw new RangeError(`${instrument.name}: the layers over string ${number} run in a circle.`)
    onTheWay.add(number)
    for (const { over, under } of instrument.coverings) {
      const above = instrument.positions.find((p) => p.number === over)
      if (under !== number || !above || order.includes(above)) continue
      uncover(over)
      order.push(above)
    }
    onTheWay.delete(number)
  }
  uncover(position.number)
  return order
}
