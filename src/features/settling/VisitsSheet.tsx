'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { CalendarPlus } from 'lucide-react'
import { files, pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { plainWord } from '@/core/settle/pace'
import type { VisitsUntil } from '@/data/views/settling-view'
import { Selection } from '@/ui/form/Selection'
import { measureText } from '@/ui/format/measure'
import { clockText, dayText, momentText } from '@/ui/format/time'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'

interface VisitsSheetProps {
  /** Null where no date is ahead. */
  readonly until: VisitsUntil | null
  /** Dates that visits can be planned for. */
  readonly dates: readonly { readonly id: number; readonly name: string }[]
}

/** The visits to make until a date: when, which strings, where each will be found and where to leave it. */
export function VisitsSheet({ until, dates }: VisitsSheetProps) {
  const { units, timeZone } = useWorkshop()
  const router = useRouter()
  const cents = (at: number) => measureText(measure('cents', at), units)
  if (!until)
    return (
      <section className="sheet p-4 md:p-5" aria-label="Visits">
        <h1 className="text-2xl font-semibold">Visits until a date</h1>
        <p className="text-soft">
          Set a date, and the program plans the fewest visits that keep every settling string in tune until
          then.
        </p>
        <Link href={pages.dates} className="button button-main mt-3">
          Set a date
        </Link>
      </section>
    )
  const { date, plan, fewer, strings, slipping, latest, keepWithin, holdWithin } = until
  return (
    <section
      className="sheet max-w-4xl p-4 md:p-5 print:border-0 print:p-0 print:shadow-none"
      aria-label="Visits"
    >
      <header className="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-3">
        <div>
          <h1 className="text-2xl font-semibold">Visits until {date.name}</h1>
          <p className="text-soft">{momentText(date.at, timeZone)}</p>
        </div>
        <div className="flex flex-wrap items-end gap-2 print:hidden">
          {dates.length > 1 && (
            <Selection
              label="Date"
              value={date.id}
              options={dates.map(({ id, name }) => ({ value: id, word: name }))}
              choose={(id) => router.push(pages.visits(id))}
            />
          )}
          <PrintButton />
          <a className="button" href={files.visits(date.id)} download>
            <CalendarPlus size={16} aria-hidden /> iCalendar
          </a>
        </div>
      </header>
      <p className="mt-3">{planSentence(until)}</p>
      {fewer && (
        <p className="mt-1 text-sm text-soft">
          {fewer.visits.length === 1 ? 'With one visit' : 'With two visits'},{' '}
          {fewer.visits.map(({ at }) => momentText(at, timeZone)).join(' and ')}, strings stray up to{' '}
          {fewer.worst.toFixed(0)} cents.
        </p>
      )}
      {slipping.length > 0 && (
        <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
          Look at knot and pin first, before any visit: {slipping.join(', ')}. What slips is not in the plan.
        </p>
      )}
      {plan.over > 1 && (
        <p className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm">
          Nobody is there in time for every string: the worst strays {plan.over.toFixed(0)} cents more than
          that meanwhile. Longer hours under House would mend it.
        </p>
      )}
      <ol className="mt-3">
        {plan.visits.map((visit) => (
          <li
            key={visit.at}
            className="grid break-inside-avoid gap-x-5 border-b border-rule py-3 sm:grid-cols-[9rem_minmax(0,1fr)]"
          >
            <h2>
              <span className="block text-sm text-soft">{dayText(visit.at, timeZone)}</span>
              <span className="plate-figure text-3xl">{clockText(visit.at, timeZone)}</span>
            </h2>
            <table className="w-full text-left" aria-label={`Strings at ${clockText(visit.at, timeZone)}`}>
              <thead className="text-sm text-soft">
                <tr>
                  <th className="font-normal">String</th>
                  <th className="w-20 text-right font-normal sm:w-24">You find it</th>
                  <th className="w-20 text-right font-normal sm:w-28">Leave it</th>
                  <th className="hidden w-24 text-right font-normal sm:table-cell print:table-cell">
                    Otherwise
                  </th>
                </tr>
              </thead>
              <tbody>
                {visit.touches.map(({ id, found, leave, otherwise }) => {
                  const string = strings[id]
                  return (
                    <tr key={id}>
                      <th className="py-1 pr-2 font-semibold">
                        {string && (
                          <Link
                            href={pages.instrumentSheet(string.slug, 'tune', string.number)}
                            prefetch={false}
                            className="inline-block min-h-6 first-letter:uppercase hover:underline"
                          >
                            {string.name}
                          </Link>
                        )}
                      </th>
                      <td className="text-right">{cents(found)}</td>
                      <td className="text-right font-semibold">
                        {leave < 0.5 ? 'at pitch' : `${leave.toFixed(0)} sharp`}
                      </td>
                      <td className="hidden text-right text-soft sm:table-cell print:table-cell">
                        {cents(otherwise)}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          </li>
        ))}
      </ol>
      <p className="mt-2 hidden text-sm text-soft sm:block print:block">
        “Otherwise” is where a string would stand at the next visit, or at the end, if it were left alone now.
        Left a little sharp it comes down to pitch and as much below.
      </p>
      <section className="mt-4 break-inside-avoid border-t border-ink pt-2" aria-labelledby="fit-by">
        <h2 id="fit-by" className="text-lg font-semibold">
          The latest hour to fit a string for it
        </h2>
        <p className="text-sm text-soft">
          Fitted by then, and tuned just before, it holds within {holdWithin} cents nine times of ten; between
          visits strings may stray by {keepWithin}.
        </p>
        <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
          {latest.map(({ material, at }) => (
            <div key={material} className="contents">
              <dt className="font-semibold first-letter:uppercase">{plainWord(material)}</dt>
              <dd>
                {at === null
                  ? 'too late for it: only retuning in the interval helps'
                  : momentText(at, timeZone)}
              </dd>
            </div>
          ))}
        </dl>
      </section>
    </section>
  )
}

function planSentence({ plan, strings, keepWithin, holdWithin, date }: VisitsUntil): string {
  const count = Object.keys(strings).length
  if (count === 0) return 'No string settles that it is for: nothing has to be tuned for it but the usual.'
  if (plan.visits.length === 0)
    return `All ${count} settling strings hold within ${holdWithin} cents until then as they stand: no visit is needed.`
  const visits = plan.visits.length === 1 ? 'One visit keeps' : `${plan.visits.length} visits keep`
  const many =
    count === 1 && plan.visits.length > 2 ? ` That is ${plan.visits.length} visits for one string.` : ''
  const of = count === 1 ? 'the one settling string' : `all ${count} settling strings`
  return `${visits} ${of} within ${keepWithin} cents until then and within ${holdWithin} through ${date.hours === 1 ? 'the hour' : `the ${date.hours} hours`} of it.${plan.over < 1 ? ' No fewer do.' : ''}${many}`
}
