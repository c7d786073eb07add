import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { HOUR } from '@/core/units/time'
import type { SettlingCurve } from '@/data/views/settling-view'
import { SettlingPaper } from '@/drawings/SettlingPaper'
import { measureText, type Units } from '@/ui/format/measure'
import { distanceText, nearText } from '@/ui/format/time'
import { paperString } from './paper-string'

interface SettlingSheetProps {
  readonly curves: readonly SettlingCurve[]
  /** How many there are in all. */
  readonly all: number
  readonly now: number
  readonly timeZone: string
  readonly units: Units
}

/** As many lines as the paper bears. */
const DRAWN = 16

/** All that settles, on one sheet. */
export function SettlingSheet({ curves, all, now, timeZone, units }: SettlingSheetProps) {
  return (
    <section className="sheet p-4 md:p-5" aria-label="Settling">
      <h1 className="text-2xl font-semibold">Settling</h1>
      <p className="max-w-prose text-soft">
        How far each new string has fallen in all, and how far it has still to go. A string that keeps to its
        ways goes down along a straight line; one that bends away wants a look at knot and pin.
      </p>
      {curves.length === 0 ? (
        <p className="mt-4">No string settles now. One that is fitted comes here by itself.</p>
      ) : (
        <>
          <div className="mt-3 overflow-x-auto" tabIndex={0} role="group" aria-label="The paper">
            <SettlingPaper
              strings={curves
                .slice(0, DRAWN)
                .map((curve) => paperString(curve, `${curve.name}, ${curve.instrumentName}`))}
              describedAs={`What ${curves.length} settling strings have fallen, by their age`}
              className="w-full max-w-4xl min-w-[40rem]"
            />
          </div>
          <p className="text-sm text-soft">
            Gut black, nylon green, wire dashed. A dot is a string now; a diamond is a reading, a full one a
            slip.
            {curves.length > DRAWN && ` The ${DRAWN} that are due first are drawn.`}
          </p>
          <div className="mt-4 overflow-x-auto" tabIndex={0} role="group" aria-label="The list">
            <table className="w-full text-left sm:min-w-[44rem]" aria-label="Strings that settle">
              <thead>
                <tr className="border-b border-ink text-sm text-soft">
                  <th className="py-1 pr-3 font-normal">String</th>
                  <th className="hidden py-1 pr-3 font-normal sm:table-cell">On for</th>
                  <th className="py-1 pr-3 text-right font-normal">Stands near</th>
                  <th className="py-1 pr-3 pl-4 font-normal">Tune it</th>
                  <th className="py-1 font-normal">Holds through a concert from</th>
                </tr>
              </thead>
              <tbody>
                {curves.map((s) => (
                  <tr key={`${s.fittedId} ${s.positionId}`} className="border-b border-rule">
                    <th className="py-2 pr-3 font-semibold">
                      <Link
                        href={pages.settlingString(s.fittedId, s.positionId)}
                        prefetch={false}
                        className="inline-block min-h-6 first-letter:uppercase hover:underline"
                      >
                        {s.name} of {s.instrumentName}
                      </Link>
                    </th>
                    <td className="hidden py-2 pr-3 text-sm sm:table-cell">
                      {distanceText(now - s.age * HOUR, now).replace(' ago', '')}
                    </td>
                    <td className="py-2 pr-3 text-right">
                      {measureText(measure('cents', s.stands), units)}
                      <span className="text-sm text-soft"> ± {s.off.toFixed(0)}</span>
                    </td>
                    <td className="py-2 pr-3 pl-4 text-sm">
                      {s.slipping ? (
                        <strong className="text-ochre">look at knot and pin first</strong>
                      ) : s.nextAt === null ? (
                        'no more'
                      ) : s.nextAt <= now ? (
                        <strong className="text-ochre">now</strong>
                      ) : (
                        nearText(s.nextAt, now, timeZone)
                      )}
                    </td>
                    <td className="py-2 text-sm">
                      {s.holdsAt === null
                        ? s.slipping
                          ? 'not while it slips'
                          : 'the weather alone moves it more'
                        : s.holdsAt <= now
                          ? 'now on'
                          : nearText(s.holdsAt, now, timeZone)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {curves.length < all && (
            <Link className="button mt-3" href={pages.allSettling} prefetch={false}>
              Show all {all}
            </Link>
          )}
        </>
      )}
    </section>
  )
}
