import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import { measure } from '@/core/measure'
import { paceWords } from '@/core/settle/pace'
import { WORTH_A_LOOK } from '@/core/settle/readings'
import type { SettlingString } from '@/data/views/settling-view'
import { SettlingPaper } from '@/drawings/SettlingPaper'
import { measureText, type Units } from '@/ui/format/measure'
import { momentText, nearText } from '@/ui/format/time'
import { BackLink } from '@/ui/shell/BackLink'
import { BetweenHalves } from './BetweenHalves'
import { oddsText } from './odds-text'
import { paperString } from './paper-string'

/** A string that was put on longer ago was not put on at an interval, h. */
const ONE_EVENING = 24

interface SettlingStringSheetProps {
  readonly string: SettlingString
  readonly now: number
  readonly timeZone: string
  readonly units: Units
  readonly holdsWithin: number
}

/** One string that settles: its line with its band, what its last reading tells of, and whether it holds on the day. */
export function SettlingStringSheet({
  string: s,
  now,
  timeZone,
  units,
  holdsWithin,
}: SettlingStringSheetProps) {
  const name = `${s.name} of ${s.instrumentName}`
  const cents = (at: number) => measureText(measure('cents', at), units)
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section className="sheet p-4 md:p-5" aria-label="How it settles">
        <BackLink to={pages.settling}>Settling</BackLink>
        <h1 className="text-2xl font-semibold first-letter:uppercase">{name}</h1>
        <p className="text-soft">{paceSentence(s)}</p>
        <div className="mt-3 overflow-x-auto" tabIndex={0} role="group" aria-label="The paper">
          <SettlingPaper
            strings={[paperString(s, '')]}
            band={s.ahead}
            describedAs={`What ${withThe(name)} has fallen, and the band that four readings of five lie in`}
            className="w-full min-w-[36rem]"
          />
        </div>
        <p className="text-sm text-soft">
          Four readings of five will lie in the green band. It narrows with every reading that is logged.
        </p>
        {s.age < ONE_EVENING && !s.slipping && (
          <BetweenHalves known={s.known} age={s.age} holdsWithin={holdsWithin} />
        )}
      </section>
      <aside className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <section className="sheet p-4 md:p-5" aria-label="Now">
          <p className="text-sm text-soft">It stands near</p>
          <p className="plate-figure text-4xl">
            {cents(s.stands)} <span className="text-lg text-soft">± {s.off.toFixed(0)}</span>
          </p>
          <p className="mt-1 text-sm">
            {s.slipping
              ? 'Look at knot and pin before you tune it.'
              : s.nextAt === null
                ? 'It needs no more retuning.'
                : s.nextAt <= now
                  ? 'Tune it now.'
                  : `Tune it ${nearText(s.nextAt, now, timeZone)}.`}
          </p>
          <p className="mt-3 flex flex-wrap gap-2">
            <Link href={pages.instrumentSheet(s.slug, 'tune', s.number)} className="button button-main">
              Hear it
            </Link>
            <Link href={pages.instrument(s.slug, s.number)} className="button">
              Its plate
            </Link>
          </p>
        </section>
        {s.last && (
          <section className="sheet p-4 md:p-5" aria-labelledby="last">
            <h2 id="last" className="text-xl font-semibold">
              The last reading
            </h2>
            <p className="text-sm text-soft">
              {momentText(s.last.at, timeZone)}: {cents(s.last.cents)}, where {cents(s.last.expected)} was to
              be expected.
            </p>
            <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1">
              {(
                [
                  ['It settles', s.last.odds.settling],
                  ['It slipped at knot or pin', s.last.odds.slip],
                  ['The weather', s.last.odds.weather],
                ] as const
              ).map(([what, odds]) => (
                <div key={what} className="contents">
                  <dt>{what}</dt>
                  <dd className="text-right font-semibold">{oddsText(odds)}</dd>
                </div>
              ))}
            </dl>
            {s.last.odds.slip > WORTH_A_LOOK && (
              <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
                Look whether the knot has drawn in, and whether the wraps sit tight and the pin does not turn
                back by itself. Put a pencil mark across pin and neck: it tells whether the pin moves.
              </p>
            )}
            {s.last.odds.weather > 0.3 && (
              <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
                Read a settled neighbour of the same material: if it moved as well, it is the weather.
              </p>
            )}
          </section>
        )}
        <section className="sheet p-4 md:p-5" aria-labelledby="on-the-day">
          <h2 id="on-the-day" className="text-xl font-semibold">
            On the day
          </h2>
          <p className="text-sm text-soft">
            The chance that it holds within {holdsWithin} cents, tuned just before.
          </p>
          {s.dates.length === 0 && <p className="mt-1">No date is set.</p>}
          <ul className="ruled mt-1">
            {s.dates.map((date) => (
              <li key={date.id} className="grid grid-cols-[1fr_auto] gap-x-3 py-2">
                <span>
                  <span className="block font-semibold">{date.name}</span>
                  <span className="block text-sm text-soft">
                    {nearText(date.at, now, timeZone)}; it falls {cents(date.falls)} through it,{' '}
                    {cents(date.fallsAfterInterval)} when it is tuned at the interval as well
                  </span>
                </span>
                <span className="plate-figure text-2xl">{oddsText(date.chance)}</span>
              </li>
            ))}
          </ul>
          {s.dates[0] && (
            <Link href={pages.visits(s.dates[0].id)} className="button mt-2">
              Plan the visits
            </Link>
          )}
        </section>
      </aside>
    </div>
  )
}

/** How it settles against what its material does, and what that rests on. */
function paceSentence({ share, shareOff, own, perDecade, material }: SettlingString): string {
  const pace = paceWords(share, material)
  const off = Math.round((shareOff / share) * 100)
  const rests =
    own === 0
      ? 'No reading of its own is logged yet.'
      : `${own === 1 ? 'One reading' : `${own} readings`} of its own and those of strings like it say so.`
  return `It settles ${pace}: from one day to ten days old it falls ${perDecade.toFixed(0)} cents, give or take ${off} in 100. ${rests}`
}
