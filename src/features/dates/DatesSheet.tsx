'use client'

import { Download } from 'lucide-react'
import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { files } from '@/boundary/paths'
import type { Occasion } from '@/data/workshop/occasions'
import { distanceText, momentText } from '@/ui/format/time'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { CalendarImport } from './CalendarImport'
import { DateForm, type OneDate } from './DateForm'

interface DatesSheetProps {
  readonly dates: readonly Occasion[]
  readonly now: number
  readonly shelf: readonly { readonly slug: string; readonly name: string }[]
  /** Where a calendar on this machine can read them. */
  readonly address: string
}

/** A date of today still counts as ahead. */
const HALF_A_DAY = 43_200_000

/** Dates that the strings must be ready for, in and out of any calendar. */
export function DatesSheet({ dates, now, shelf, address }: DatesSheetProps) {
  const { act, refused } = useAct()
  const ahead = dates.filter(({ at }) => at >= now - HALF_A_DAY)
  const past = dates.filter(({ at }) => at < now - HALF_A_DAY).reverse()
  const add = async (some: readonly OneDate[]) =>
    (await act(
      endpoints.addDates,
      { dates: some },
      some.length === 1 ? `${some[0]?.name} is on the list.` : `${some.length} dates are on the list.`,
    )) !== null
  return (
    <section className="sheet max-w-4xl p-5" aria-labelledby="dates">
      <h1 id="dates" className="text-2xl font-semibold">
        Dates
      </h1>
      <p className="text-soft">
        Concerts, walks, lessons. Today tells which strings will not hold by then, and buying comes in time
        for them.
      </p>
      {ahead.length === 0 && <p className="mt-4">No date is ahead. Add the next one below.</p>}
      <ul className="ruled mt-3" aria-label="Ahead">
        {ahead.map((date) => (
          <DateRow key={date.id} date={date} now={now} shelf={shelf} />
        ))}
      </ul>
      <div className="mt-5 border-t border-ink pt-3">
        <h2 className="mb-2 text-lg font-semibold">Add a date</h2>
        <DateForm date={null} shelf={shelf} refused={refused} onKeep={add}>
          <button type="submit" className={`button ${ahead.length === 0 ? 'button-main' : ''}`}>
            Add it
          </button>
        </DateForm>
        {refused && refused.field === null && (
          <p role="alert" className="mt-2 font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
      </div>
      <div className="mt-5 grid gap-4 border-t border-ink pt-3 sm:grid-cols-2">
        <div>
          <h2 className="mb-2 text-lg font-semibold">Out of a calendar</h2>
          <CalendarImport now={now} onTake={add} />
        </div>
        <div>
          <h2 className="mb-2 text-lg font-semibold">Into a calendar</h2>
          <a className="button" href={files.calendar} download>
            <Download size={16} aria-hidden /> iCalendar
          </a>
          <p className="mt-2 text-sm text-soft">
            Or let a calendar on this machine subscribe to{' '}
            <span className="font-semibold break-all text-ink">{address}</span>
          </p>
        </div>
      </div>
      {past.length > 0 && (
        <details className="mt-5 border-t border-ink pt-2">
          <summary className="min-h-11 font-semibold">Past ({past.length})</summary>
          <ul className="ruled">
            {past.slice(0, 60).map((date) => (
              <DateRow key={date.id} date={date} now={now} shelf={shelf} />
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

function DateRow({ date, now, shelf }: Pick<DatesSheetProps, 'now' | 'shelf'> & { readonly date: Occasion }) {
  const { timeZone } = useWorkshop()
  const { act, refused } = useAct()
  const [isChanging, setIsChanging] = useState(false)
  const names = date.instruments.map((slug) => shelf.find((one) => one.slug === slug)?.name ?? slug)
  const change = async ([one]: readonly OneDate[]) => {
    const kept = one && (await act(endpoints.changeDate(date.id), one, `${one.name} is changed.`))
    if (kept) setIsChanging(false)
    return false
  }
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <span>
          <span className="font-semibold">{date.name}</span>
          <span className="block text-sm text-soft">
            {momentText(date.at, timeZone)}, {distanceText(date.at, now)}
            {date.hours === null ? '' : `; ${date.hours} h`}
            {names.length === 0 ? '' : `; for ${names.join(', ')}`}
          </span>
        </span>
        <span className="flex gap-1">
          <button
            type="button"
            className="min-h-11 px-2 text-sm underline underline-offset-2"
            aria-label={`Change ${date.name}`}
            aria-expanded={isChanging}
            onClick={() => setIsChanging(!isChanging)}
          >
            Change
          </button>
          <button
            type="button"
            className="min-h-11 px-2 text-sm underline underline-offset-2"
            aria-label={`Take ${date.name} away`}
            onClick={() => act(endpoints.dropDate(date.id), {}, `${date.name} is taken away.`)}
          >
            Take away
          </button>
        </span>
      </div>
      {isChanging && (
        <div className="mt-2">
          <DateForm date={date} shelf={shelf} refused={refused} onKeep={change}>
            <button type="submit" className="button button-main">
              Keep it
            </button>
          </DateForm>
        </div>
      )}
      {refused && refused.field === null && (
        <p role="alert" className="mt-1 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </li>
  )
}
