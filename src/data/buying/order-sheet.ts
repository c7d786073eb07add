/**
 * An order as it leaves the house: CSV, and plain text for a mail. No line leaves without its class or its octaves.
 */
import Papa from 'papaparse'
import { makeText } from '@/core/chart/material-text'
import { moneyText } from '@/core/stores/money'
import { soldText } from '@/core/stores/sold-as'
import { classWords } from '@/core/stores/string-spec'
import { outerGauge } from '@/core/strings/construction'
import { formatLength } from '@/core/units/length'
import { guarded } from '../csv/formula-guard'
import { inMm } from '../store/millimetres'
import { type OrderLine } from './order-lines'
import { type Order } from './orders'

export const ORDER_CSV_COLUMNS = [
  'part',
  'name',
  'packs',
  'material',
  'gauge mm',
  'core mm',
  'wrap mm',
  'colour',
  'tension class',
  'end',
  'length mm',
  'price',
  'for',
] as const

/** What was asked for; what the supplier offered instead is its own business. */
const asked = ({ lines }: Order) => lines.filter(({ replacesId }) => replacesId === null)

/** The order as CSV, which a supplier's desk reads. */
export function orderCsv(order: Order): string {
  const rows = asked(order).map((line) =>
    [
      line.part,
      line.name,
      line.packs,
      makeText(line.construction),
      inMm(outerGauge(line.construction)),
      line.construction.kind === 'wound' ? inMm(line.construction.core.diameter) : '',
      line.construction.kind === 'wound' ? inMm(line.construction.wrap.diameter) : '',
      line.colour,
      line.tensionClass === 'not given' ? '' : line.tensionClass,
      line.end,
      inMm(line.length),
      (line.priceMinor / 100).toFixed(2),
      line.forStrings.join(' / '),
    ].map((cell) => guarded(String(cell))),
  )
  return `${Papa.unparse({ fields: [...ORDER_CSV_COLUMNS], data: rows }, { newline: '\n' })}\n`
}

/** A line in words: material, gauge, colour, class, end, length. */
export function lineWords({
  construction: c,
  colour,
  tensionClass,
  end,
  length,
  soldAs,
  pieces,
  setOf,
}: OrderLine): string {
  if (setOf !== null)
    return `a set of ${setOf.reduce((sum, { count }) => sum + count, 0)} packets: ${setOf.map(({ part, count }) => (count === 1 ? part : `${count} of ${part}`)).join(', ')}`
  const mm = (metres: number) => formatLength(metres, { unit: 'mm', digits: 2 })
  const gauge =
    c.kind === 'plain'
      ? mm(outerGauge(c))
      : `${mm(outerGauge(c))} (core ${mm(c.core.diameter)}, wrap ${mm(c.wrap.diameter)})`
  return [
    `${makeText(c)} ${gauge}`,
    colour,
    ...classWords(tensionClass),
    `${end} end`,
    soldText({ soldAs, pieces }, formatLength(length, { unit: 'mm', digits: 0 })),
  ].join(', ')
}

/** The order as text to paste into a mail. */
export function orderText(order: Order, workshop: string): string {
  const lines = asked(order).map((line) =>
    [
      `${line.packs} × ${line.part}  ${line.name}`,
      `    ${lineWords(line)}`,
      ...line.forStrings.map((text) => `    for ${text}`),
    ].join('\n'),
  )
  const total = moneyText(order.goodsMinor + order.postageMinor, order.supplier.currency)
  return [
    `Order ${order.id} from ${workshop} to ${order.supplier.name}`,
    '',
    ...lines,
    '',
    `Goods ${moneyText(order.goodsMinor, order.supplier.currency)}, postage ${moneyText(order.postageMinor, order.supplier.currency)}, ${total} in all by your catalogue.`,
    'Octaves of harps are counted E to F from the treble; scientific pitch is given beside them.',
    '',
  ].join('\n')
}
