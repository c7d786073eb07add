import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { counted } from '@/core/list/counted'
import type { Period } from '@/core/wear/period'
import type { InstrumentYear } from '@/data/views/wear-shelf'
import { chanceText } from '@/ui/format/chance'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'

interface YearByInstrumentProps {
  /** Those that ask for most strings first. */
  readonly instruments: readonly InstrumentYear[]
  /** How many there are in all. */
  readonly all: number
  readonly within: Period
}

const ofInstruments = (within: Period): readonly TableHead[] => [
  { word: 'Instrument' },
  { word: `Breaks within ${within}` },
  { word: 'At least one', isFigure: true },
  { word: 'Likeliest', isSpare: true },
]

/** What the time ahead brings each instrument. */
export function YearByInstrument({ instruments, all, within }: YearByInstrumentProps) {
  const most = Math.max(1e-9, ...instruments.map(({ expected }) => expected))
  return (
    <section className="mt-5" aria-labelledby="by-instrument">
      <h2 id="by-instrument" className="text-xl font-semibold">
        By instrument
      </h2>
      <PlainTable label="What the time ahead brings each instrument" heads={ofInstruments(within)}>
        {instruments.map((one) => (
          <tr key={one.slug} className="border-b border-rule">
            <th className="py-2 pr-3 font-semibold">
              <Link
                href={pages.instrumentSheet(one.slug, 'wear')}
                prefetch={false}
                className="inline-block min-h-6 hover:underline"
              >
                {one.name}
              </Link>
              <span className="block text-sm font-normal text-soft">
                {one.strings === 0 ? 'no string on' : counted(one.strings, 'string')}
                {one.unknown > 0 && `, ${one.unknown === one.strings ? 'all' : one.unknown} of unknown age`}
              </span>
            </th>
            <td className="py-2 pr-3">
              <span className="flex items-center gap-2">
                <span className="w-10 text-right font-semibold">{one.expected.toFixed(1)}</span>
                <span
                  aria-hidden
                  className="block h-3 bg-verdigris"
                  style={{ width: `${(one.expected / most) * 9}rem`, maxWidth: '28vw' }}
                />
              </span>
            </td>
            <td className="py-2 pr-3 text-right">{one.strings === 0 ? '' : chanceText(one.any)}</td>
            <td className="hidden py-2 pl-3 text-sm sm:table-cell">
              {one.likeliest && (
                <Link
                  href={pages.instrumentSheet(one.slug, 'wear', one.likeliest.number)}
                  prefetch={false}
                  className="inline-block min-h-6 hover:underline"
                >
                  {one.likeliest.name}, {chanceText(one.likeliest.chance)}
                </Link>
              )}
            </td>
          </tr>
        ))}
      </PlainTable>
      {instruments.length < all && (
        <Link className="button mt-3" href={pages.allWear(within)} prefetch={false}>
          Show all {all}
        </Link>
      )}
    </section>
  )
}
