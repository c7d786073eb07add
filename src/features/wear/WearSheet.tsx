import Link from 'next/link'
import { pages } from '@/boundary/paths'
import type { ClassLife, InstrumentYear, SharpLine, WearShelf } from '@/data/views/wear-shelf'
import type { GoesWithLine } from '@/data/views/wear-why'
import { chanceText } from '@/ui/format/chance'
import { CLASS_WORDS, usualText } from './class-words'

interface WearSheetProps {
  readonly shelf: Pick<WearShelf, 'expected' | 'band' | 'on' | 'classes' | 'dates' | 'goesWith'>
  /** Those that ask for most strings first. */
  readonly instruments: readonly InstrumentYear[]
  /** How many there are in all. */
  readonly all: number
  readonly sharp: readonly SharpLine[]
}

/** The year ahead of the whole shelf, on one sheet. */
export function WearSheet({
  shelf: { expected, band, on, classes, dates, goesWith },
  instruments,
  all,
  sharp,
}: WearSheetProps) {
  const [next] = dates
  return (
    <section className="sheet p-4 md:p-5" aria-label="Wear">
      <header className="flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
        <div>
          <h1 className="text-2xl font-semibold">The year ahead</h1>
          {on === 0 ? (
            <p className="text-soft">No string is on yet. Whatever is fitted is followed here.</p>
          ) : (
            <>
              <p className="mt-1">
                <span className="plate-figure text-4xl">{Math.round(expected)}</span>{' '}
                <span className="text-lg">of {on} strings will break within a year, by what is known.</span>
              </p>
              <p className="text-soft">
                Four years of five bring between {band[0]} and {band[1]}.
              </p>
            </>
          )}
        </div>
        {next && (
          <Link href={pages.beforeDate(next.id)} className="button button-main">
            What to change before {next.name}
          </Link>
        )}
      </header>
      <SharpPlaces sharp={sharp} />
      <Instruments instruments={instruments} all={all} />
      <GoesWith lines={goesWith} />
      <Lives classes={classes} />
    </section>
  )
}

function SharpPlaces({ sharp }: Pick<WearSheetProps, 'sharp'>) {
  if (sharp.length === 0) return null
  return (
    <section className="mt-4" aria-labelledby="sharp">
      <h2 id="sharp" className="text-xl font-semibold">
        Look for a sharp edge
      </h2>
      <ul className="ruled mt-1">
        {sharp.map((place) => (
          <li
            key={`${place.slug} ${place.position} ${place.site}`}
            className="grid gap-x-4 py-2 sm:grid-cols-[6rem_1fr]"
          >
            <span className="plate-figure text-2xl whitespace-nowrap">{chanceText(place.chance)}</span>
            <span>
              <Link
                href={pages.instrumentSheet(place.slug, 'wear', place.position)}
                prefetch={false}
                className="inline-block min-h-6 font-semibold first-letter:uppercase hover:underline"
              >
                {place.name} of {place.instrumentName}
              </Link>
              <span className="block text-sm text-soft">
                {place.where}: {place.breaks} broke there, where {usualText(place.expected)} would be usual.{' '}
                {place.polished && `Polished since; that it helped: ${chanceText(place.polished.chance)}.`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Instruments({ instruments, all }: Pick<WearSheetProps, 'instruments' | 'all'>) {
  const most = Math.max(1e-9, ...instruments.map(({ expected }) => expected))
  return (
    <section className="mt-5" aria-labelledby="by-instrument">
      <h2 id="by-instrument" className="text-xl font-semibold">
        By instrument
      </h2>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The list">
        <table className="w-full text-left" aria-label="What a year brings each instrument">
          <thead>
            <tr className="border-b border-ink text-sm text-soft">
              <th className="py-1 pr-3 font-normal">Instrument</th>
              <th className="py-1 pr-3 font-normal">Breaks in a year</th>
              <th className="py-1 pr-3 text-right font-normal">At least one</th>
              <th className="hidden py-1 pl-3 font-normal sm:table-cell">Likeliest</th>
            </tr>
          </thead>
          <tbody>
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
                    {one.strings === 0 ? 'no string on record' : `${one.strings} strings`}
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
          </tbody>
        </table>
      </div>
      {instruments.length < all && (
        <Link className="button mt-3" href={pages.allWear} prefetch={false}>
          Show all {all}
        </Link>
      )}
    </section>
  )
}

/** What breaks go with: how many on either side, and how surely it is more than chance. */
function GoesWith({ lines }: { readonly lines: readonly GoesWithLine[] }) {
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
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The odds">
        <table className="mt-1 w-full text-left" aria-label="What breaks go with">
          <thead>
            <tr className="border-b border-ink text-sm text-soft">
              <th className="py-1 pr-3 font-normal">With</th>
              <th className="py-1 pr-3 text-right font-normal">There</th>
              <th className="py-1 pr-3 text-right font-normal">Otherwise</th>
              <th className="py-1 text-right font-normal">More than chance</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ what, counts, inIt, outside, chance, times }) => (
              <tr key={what} className="border-b border-rule">
                <th className="py-1.5 pr-3 font-semibold first-letter:uppercase">{what}</th>
                <td className="py-1.5 pr-3 text-right text-sm">
                  {inIt.happened} in {inIt.of} {counts}
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
          </tbody>
        </table>
      </div>
    </section>
  )
}

function Lives({ classes }: { readonly classes: readonly ClassLife[] }) {
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
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The lives">
        <table className="mt-1 w-full text-left" aria-label="How long strings last">
          <thead>
            <tr className="border-b border-ink text-sm text-soft">
              <th className="py-1 pr-3 font-normal">Strings</th>
              <th className="py-1 pr-3 text-right font-normal">On now</th>
              <th className="py-1 pr-3 text-right font-normal">Broke so far</th>
              <th className="py-1 pr-3 text-right font-normal">Half by the age of</th>
              <th className="hidden py-1 text-right font-normal sm:table-cell">Within two years</th>
            </tr>
          </thead>
          <tbody>
            {classes.map((one) => (
              <tr key={one.lifeClass} className="border-b border-rule">
                <th className="py-1.5 pr-3 font-semibold first-letter:uppercase">
                  {CLASS_WORDS[one.lifeClass]}
                </th>
                <td className="py-1.5 pr-3 text-right">{one.on}</td>
                <td className="py-1.5 pr-3 text-right">{one.broke}</td>
                <td className="py-1.5 pr-3 text-right font-semibold">{one.half.toFixed(1)} years</td>
                <td className="hidden py-1.5 text-right text-sm text-soft sm:table-cell">
                  {chanceText(one.inTwoYears[0])} to {chanceText(one.inTwoYears[1])}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
