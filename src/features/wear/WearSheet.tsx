import Link from 'next/link'
import { counted } from '@/core/list/counted'
import { pages } from '@/boundary/paths'
import type { InstrumentYear, SharpLine, WearShelf } from '@/data/views/wear-shelf'
import { UnknownAges } from '@/ui/figure/UnknownAges'
import { GoesWith } from './GoesWith'
import { LivesHere } from './LivesHere'
import { SharpPlaces } from './SharpPlaces'
import { WithinChoice } from './WithinChoice'
import { YearByInstrument } from './YearByInstrument'

interface WearSheetProps {
  readonly shelf: Pick<
    WearShelf,
    'within' | 'expected' | 'band' | 'on' | 'unknown' | 'classes' | 'dates' | 'goesWith'
  >
  /** Those that ask for most strings first. */
  readonly instruments: readonly InstrumentYear[]
  /** How many there are in all. */
  readonly all: number
  readonly sharp: readonly SharpLine[]
}

/** A year ahead of the whole shelf, or the time that is asked for, on one sheet. */
export function WearSheet({
  shelf: { within, expected, band, on, unknown, classes, dates, goesWith },
  instruments,
  all,
  sharp,
}: WearSheetProps) {
  const [next] = dates
  return (
    <section className="sheet p-4 md:p-5" aria-label="Wear">
      <header className="flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
        <div>
          <h1 className="text-2xl font-semibold">
            {within === 'a year' ? 'The year ahead' : `The next ${within.replace(/^a /, '')}`}
          </h1>
          {on === 0 ? (
            <p className="text-soft">No string is on yet. Whatever is fitted is followed here.</p>
          ) : (
            <>
              <p className="mt-1">
                <span className="plate-figure text-4xl">{Math.round(expected)}</span>{' '}
                <span className="text-lg">
                  of {counted(on, 'string')} will break within {within}, by what is known.
                </span>
              </p>
              <p className="text-soft">
                Four times of five it is between {band[0]} and {band[1]}.
              </p>
              <UnknownAges unknown={unknown} of={on} />
            </>
          )}
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <WithinChoice within={within} />
          {next && (
            <Link href={pages.beforeDate(next.id)} className="button button-main">
              What to change before {next.name}
            </Link>
          )}
        </div>
      </header>
      <SharpPlaces sharp={sharp} />
      <YearByInstrument instruments={instruments} all={all} within={within} />
      <GoesWith lines={goesWith} />
      <LivesHere classes={classes} />
    </section>
  )
}
