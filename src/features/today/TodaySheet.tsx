'use client'

import Link from 'next/link'
import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { useWorkshop } from '@/ui/units'
import { More } from './More'
import type { ToldSettling, ToldTail, ToldToday } from './told-today'

interface TodaySheetProps {
  readonly today: ToldToday
  readonly tolerance: number
  /** Ways to where more of it is told. */
  readonly beside: ReactNode
  /** Lists of what waits. */
  readonly waiting: ReactNode
  /** A settling string's row, with the form for its reading. */
  readonly retuneRow: (settling: ToldSettling) => ReactNode
  /** A parked tail's row, with its trimming. */
  readonly tailRow: (tail: ToldTail) => ReactNode
}

/** What needs a hand now, with one thing to do when a string breaks. */
export function TodaySheet({ today, tolerance, beside, waiting, retuneRow, tailRow }: TodaySheetProps) {
  const { name } = useWorkshop()
  const { day, due, later, jobs, tails, ahead } = today
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="sheet order-1 p-5">
        <header className="flex flex-wrap items-center justify-between gap-4 border-b border-ink pb-4">
          <div>
            <h1 className="text-2xl font-semibold">{day}</h1>
            <p className="text-soft">{name}</p>
          </div>
          <Link
            href={pages.broke}
            className="button button-main min-h-16 w-full px-8 text-2xl font-plate sm:w-auto"
          >
            A string broke
          </Link>
        </header>
        <section aria-labelledby="retunes" className="pt-4">
          <div className="flex flex-wrap items-baseline justify-between gap-x-4">
            <h2 id="retunes" className="text-xl font-semibold">
              Retune now
            </h2>
            {beside}
          </div>
          {due.all === 0 && <p className="mt-1 text-soft">Nothing has fallen by {tolerance} cents yet.</p>}
          <ul className="ruled mt-1">{due.shown.map(retuneRow)}</ul>
          <More of={due} what="strings to retune" />
          {later.all > 0 && (
            <>
              <h3 className="mt-5 text-lg font-semibold">Next</h3>
              <ul className="ruled mt-1">{later.shown.map(retuneRow)}</ul>
              <More of={later} what="strings that settle" />
            </>
          )}
        </section>
      </div>
      <div className="contents lg:order-2 lg:flex lg:flex-col lg:gap-4">
        <section className="sheet order-2 p-5" aria-labelledby="broken">
          <h2 id="broken" className="text-xl font-semibold">
            Broken
          </h2>
          {jobs.all === 0 && <p className="mt-1 text-soft">Every position has its string.</p>}
          <ul className="ruled">
            {jobs.shown.map((job) => (
              <li key={job.jobId} className="py-3">
                <Link href={pages.job(job.jobId)} className="group flex items-center gap-3">
                  <svg viewBox="0 0 20 44" className="h-11 w-5 shrink-0" aria-hidden>
                    <path
                      d="M10,0V14q0,4 5,6M10,44V30q0,-4 -5,-6"
                      fill="none"
                      stroke="var(--ochre)"
                      strokeWidth={2.5}
                      strokeLinecap="round"
                    />
                  </svg>
                  <span>
                    <span className="block font-semibold group-hover:underline">
                      {job.name} of {job.instrumentName}
                    </span>
                    <span className="block text-sm text-soft">
                      {job.site ?? 'to be replaced'}, {job.since}
                    </span>
                    <span className="block text-sm font-semibold text-ochre">{job.next}</span>
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          <More of={jobs} what="open jobs" />
        </section>
        {tails.all > 0 && (
          <section className="sheet order-3 p-5" aria-labelledby="tails">
            <h2 id="tails" className="text-xl font-semibold">
              Parked tails
            </h2>
            <ul className="ruled">{tails.shown.map(tailRow)}</ul>
            <More of={tails} what="parked tails" />
          </section>
        )}
        {waiting}
        <section className="sheet order-4 p-5" aria-labelledby="ahead">
          <h2 id="ahead" className="text-xl font-semibold">
            Ahead
          </h2>
          {ahead.length === 0 && <p className="mt-1 text-soft">No date is set.</p>}
          <ul className="ruled">
            {ahead.map((date) => (
              <li key={date.name} className="grid grid-cols-[4.5rem_1fr] gap-3 py-3">
                <span className="plate-figure text-3xl leading-none">
                  {date.days}
                  <span className="ml-1 font-text text-sm text-soft">days</span>
                </span>
                <span>
                  <Link
                    href={pages.visits(date.id)}
                    prefetch={false}
                    className="inline-block min-h-6 font-semibold hover:underline"
                  >
                    {date.name}
                  </Link>
                  <span className="block text-sm text-soft">{date.when}</span>
                  <span className={`block text-sm ${date.isReady ? 'text-verdigris' : 'text-ochre'}`}>
                    {date.says}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  )
}
