'use client'

import { useState, type ChangeEvent } from 'react'
import { DAY } from '@/core/units/time'
import { momentText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'
import type { OneDate } from './DateForm'
import type { CalendarDate } from './read-calendar'

const YEAR = 366 * DAY
/** Dates that are offered at once. */
const OFFERED = 200

interface CalendarImportProps {
  readonly now: number
  readonly onTake: (dates: readonly OneDate[]) => Promise<boolean>
}

/** Dates out of a calendar's file, to be chosen from: nothing is taken before that. */
export function CalendarImport({ now, onTake }: CalendarImportProps) {
  const { timeZone } = useWorkshop()
  const [found, setFound] = useState<readonly CalendarDate[]>([])
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const [problem, setProblem] = useState<string | null>(null)
  const read = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (!file) return
    setProblem(null)
    setFound([])
    setLeft(new Set())
    try {
      const { readCalendar } = await import('./read-calendar')
      const dates = readCalendar(await file.text(), now, now + 2 * YEAR)
      if (dates.length === 0) setProblem(`${file.name} has no date in the two years ahead.`)
      setFound(dates)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  const offered = found.slice(0, OFFERED)
  const chosen = offered.filter((_, i) => !left.has(i))
  const take = async () => {
    if (await onTake(chosen.map((date) => ({ ...date, instruments: [] })))) setFound([])
  }
  return (
    <div>
      <label className="button">
        Choose its file
        <input type="file" accept=".ics,text/calendar" className="sr-only" onChange={read} />
      </label>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
          {problem}
        </p>
      )}
      {offered.length > 0 && (
        <div className="mt-3 border-t border-ink pt-2">
          <h3 className="font-semibold">
            {found.length > OFFERED
              ? `The next ${OFFERED} of ${found.length.toLocaleString('en-GB')} dates`
              : `${found.length} ${found.length === 1 ? 'date' : 'dates'} ahead`}
          </h3>
          <ul className="ruled max-h-80 overflow-auto">
            {offered.map((date, i) => (
              <li key={`${date.at} ${date.name}`}>
                <label className="flex min-h-11 items-center gap-3">
                  <input
                    type="checkbox"
                    className="size-5 accent-verdigris"
                    checked={!left.has(i)}
                    onChange={() => {
                      const next = new Set(left)
                      if (!next.delete(i)) next.add(i)
                      setLeft(next)
                    }}
                  />
                  <span className="font-semibold">{date.name}</span>
                  <span className="text-sm text-soft">{momentText(date.at, timeZone)}</span>
                </label>
              </li>
            ))}
          </ul>
          <div className="mt-2 flex gap-2">
            <button
              type="button"
              className="button button-main"
              disabled={chosen.length === 0}
              onClick={take}
            >
              Take {chosen.length} {chosen.length === 1 ? 'date' : 'dates'}
            </button>
            <button type="button" className="button" onClick={() => setFound([])}>
              Take none
            </button>
          </div>
        </div>
      )}
    </div>
  )
}
