import { counted } from '@/core/list/counted'
import type { Charge, Charges } from '@/core/stores/charges'
import { moneyText } from '@/core/stores/money'
import { PlainTable, type TableHead } from '../list/PlainTable'

const HEADS: readonly TableHead[] = [
  { word: 'What' },
  { word: 'How much', isFigure: true },
  { word: 'Each', isFigure: true },
  { word: 'Price', isFigure: true },
]

/** What work costs its owner, line by line. A string that nobody sells alone has no price, and the sum says so. */
export function ChargesTable({ strings, work, total, currency }: Charges) {
  const text = (minor: number | null) => (minor === null ? 'no price' : moneyText(minor, currency))
  const row = (key: string, much: string, { what, each, amount }: Charge) => (
    <tr key={key} className="border-b border-rule text-right">
      <th className="py-1 pr-3 text-left font-normal">{what}</th>
      <td className="py-1 pr-3">{much}</td>
      <td className="py-1 pr-3">{text(each)}</td>
      <td className="py-1">{text(amount)}</td>
    </tr>
  )
  const without = strings.filter(({ amount }) => amount === null)
  return (
    <>
      <PlainTable label="Prices" heads={HEADS}>
        {strings.map((one) => row(one.what, counted(one.count, 'string'), one))}
        {work && row('work', `${work.count.toFixed(2)} h`, work)}
        <tr className="text-right font-semibold">
          <th className="py-1 pr-3 text-left" colSpan={3}>
            Estimated price
          </th>
          <td className="py-1">{moneyText(total, currency)}</td>
        </tr>
      </PlainTable>
      {without.length > 0 && (
        <p className="text-sm text-soft">
          Not in this sum: {without.map(({ what }) => what).join('; ')}. No supplier’s price is on record.
        </p>
      )}
    </>
  )
}
