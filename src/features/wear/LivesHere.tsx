import type { ClassLife } from '@/data/views/wear-shelf'
import { chanceText } from '@/ui/format/chance'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'
import { CLASS_WORDS } from './class-words'

const OF_LIVES: readonly TableHead[] = [
  { word: 'Strings' },
  { word: 'On now', isFigure: true },
  { word: 'Broke so far', isFigure: true },
  { word: 'Half by the age of', isFigure: true },
  { word: 'Within two years', isFigure: true, isSpare: true },
]

/** How long strings of each kind last in this house. */
export function LivesHere({ classes }: { readonly classes: readonly ClassLife[] }) {
  if (classes.length === 0) return null
  return (
    <section className="mt-5" aria-labelledby="lives">
      <h2 id="lives" className="text-xl font-semibold">
        How long strings last here
      </h2>
      <p className="max-w-prose text-sm text-soft">
        What strings of each kind usually do, and what they did in this house. Breaks within two days, slips
        and knots that pulled through are left out: they are the fitting’s, not the string’s.
      </p>
      <PlainTable label="How long strings last" heads={OF_LIVES}>
        {classes.map((one) => (
          <tr key={one.lifeClass} className="border-b border-rule">
            <th className="py-1.5 pr-3 font-semibold first-letter:uppercase">{CLASS_WORDS[one.lifeClass]}</th>
            <td className="py-1.5 pr-3 text-right">{one.on}</td>
            <td className="py-1.5 pr-3 text-right">{one.broke}</td>
            <td className="py-1.5 pr-3 text-right font-semibold">{one.half.toFixed(1)} years</td>
            <td className="hidden py-1.5 text-right text-sm text-soft sm:table-cell">
              {chanceText(one.inTwoYears[0])} to {chanceText(one.inTwoYears[1])}
            </td>
          </tr>
        ))}
      </PlainTable>
    </section>
  )
}
