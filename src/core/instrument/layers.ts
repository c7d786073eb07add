/**
 * Which strings lie over which: what must come off, or be moved aside, before a covered one can be reached.
 */
import type { Instrument, StringPosition } from './instrument'

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
    if (onTheWay.has(number)) throw new RangeError(`${instrument.name}: the layers over string ${number} run in a circle.`)
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
