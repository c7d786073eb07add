'use client'

import { endpoints } from '@/boundary/endpoints'
import type { StringPosition } from '@/core/instrument/instrument'
import { suspectedAt, siteWord, type BreakSite } from '@/core/wear/break-sites'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { chanceText } from '@/ui/format/chance'
import { dateText } from '@/ui/format/time'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { usualText } from './class-words'

/** A place of this string is worth a look from here on. */
const WORTH_A_LOOK = 0.1

/** Places of the picked string that may be sharp: how sure that is, what to do, and what a polish did. */
export function SharpHere({
  wear,
  position,
}: {
  readonly wear: InstrumentWear
  readonly position: StringPosition
}) {
  const { timeZone } = useWorkshop()
  const { act, refused } = useAct()
  const here = wear.places.filter(
    (place) => place.position === position.number && (place.chance >= WORTH_A_LOOK || place.polished),
  )
  if (here.length === 0) return null
  return (
    <div className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
      {here.map(({ site, chance, breaks, expected, looked, polished }) => {
        const { remedy } = suspectedAt(site, position)
        const where = siteWord(site, position)
        return (
          <section key={site} aria-label={where}>
            <h3 className="text-lg font-semibold">
              {where}: sharper than its like, {chanceText(chance)}
            </h3>
            <p className="text-sm">
              {breaks} broke there, where {usualText(expected)} would be usual. That {looked} places were
              looked at is allowed for.
            </p>
            <p className="mt-1 text-sm">{remedy}</p>
            {HOW[site] && (
              <details className="text-sm">
                <summary className="min-h-8 font-semibold">How, and who should</summary>
                {HOW[site]}
              </details>
            )}
            {polished ? (
              <p className="mt-1 text-sm font-semibold">
                Polished {dateText(polished.at, timeZone)}; since then{' '}
                {polished.breaks === 0 ? 'none' : polished.breaks} broke there. That it helped:{' '}
                {chanceText(polished.chance)}.
              </p>
            ) : (
              <button
                type="button"
                className="button mt-2"
                onClick={() =>
                  void act(
                    endpoints.logPolish(wear.instrument.slug),
                    { number: position.number, site },
                    `${where}: polished. What breaks there from now on is counted by itself.`,
                  )
                }
              >
                It has been polished
              </button>
            )}
          </section>
        )
      })}
      {refused && (
        <p role="alert" className="mt-1 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </div>
  )
}

/** How to polish, and who should. */
const HOW: Partial<Record<BreakSite, string>> = {
  'bridge pin':
    'With the string off, draw a soft cord with a little mild abrasive along the groove, in the string’s own line. Stop when a fingernail no longer catches. The saddle must stay hard and its edge sharp to the eye, or the string will buzz. A groove deeper than half the string is for the maker or a repairer.',
  'tuning pin hole':
    'With the string off, draw a soft cord with a little mild abrasive through the hole and round both its edges until a thread no longer catches.',
  'lever or disc': 'This is not for the owner: a lever or disc is reground and regulated by a technician.',
  soundboard:
    'A sharp eyelet is rounded with a cord and mild abrasive; a loose or missing one is renewed by a repairer. Let no tool touch the board.',
}
