import { counted } from '@/core/list/counted'
import type { GoesWithLine } from '@/data/views/wear-why'
import { chanceText } from '@/ui/format/chance'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'

const OF_ODDS: readonly TableHead[] = [
  { word: 'With' },
  { word: 'There', isFigure: true },
  { word: 'Otherwise', isFigure: true },
  { word: 'More than chance', isFigure: true },
]

/** What breaks go with: how many on either side, and how surely it is more than chance. */
export function GoesWith({ lines }: { readonly lines: readonly GoesWithLine[] }) {
  if (lines.length === 0) return null
  return (
    <section className="mt-5" aria-labelledby="goes-with">
      <h2 id="goes-with" className="text-xl font-semibold">
        What breaks go with
      </h2>
      <p className="max-w-prose text-sm text-soft">
        Of strings: how many gave way within two days of being fitted. Of days: how many strings broke. The
        chance that there is anything in it starts at 20 % and needs many breaks to rise.
      </p>
      <PlainTable label="What breaks go with" heads={OF_ODDS}>
        {lines.map(({ what, counts, inIt, outside, chance, times }) => (
          <tr key={what} className="border-b border-rule">
            <th className="py-1.5 pr-3 font-semibold first-letter:uppercase">{what}</th>
            <td className="py-1.5 pr-3 text-right text-sm">
              {inIt.happened} in {counted(inIt.of, counts === 'days' ? 'day' : 'string')}
            </td>
            <td className="py-1.5 pr-3 text-right text-sm">
              {outside.happened} in {outside.of}
            </td>
            <td className="py-1.5 text-right">
              <span className="font-semibold">{chanceText(chance)}</span>
              {chance >= 0.5 && (
                <span className="block text-sm text-soft">
                  {times >= 1
                    ? `${times.toFixed(1)} times as often`
                    : `${(1 / times).toFixed(1)} times as seldom`}
                </span>
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
    </section>
  )
}
