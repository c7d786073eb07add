'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { DRILLS, drillFacts } from '@/core/practice/drill'
import type { PracticeView } from '@/data/views/practice-view'
import { nearText } from '@/ui/format/time'
import { Selection } from '@/ui/form/Selection'
import { useWorkshop } from '@/ui/units'
import { HalfDone } from './HalfDone'
import { HowItGoes } from './HowItGoes'
import { OldStringOffer } from './OldStringOffer'
import { WhatItDid } from './WhatItDid'

interface PracticeSheetProps {
  /** Null where the house has no instruments. */
  readonly view: PracticeView | null
  /** Who is at the bench; null where nobody said. */
  readonly me: string | null
  readonly now: number
}

/** Practice: what is due first, then any drill on any instrument, and how it goes. */
export function PracticeSheet({ view, me, now }: PracticeSheetProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <section className="sheet p-5" aria-labelledby="practice">
        <h1 id="practice" className="text-2xl font-semibold">
          Practice
        </h1>
        <p className="text-soft">
          {me === null ? 'Kept for whoever works here without a name.' : `Kept for ${me}.`} Questions are made
          from your own instruments, two to five minutes at a time.
        </p>
        <HalfDone />
        {view ? (
          <Due view={view} now={now} />
        ) : (
          <p className="mt-3">
            There is no instrument to practise on yet.{' '}
            <Link className="underline" href={pages.newInstrument}>
              Add your first
            </Link>
          </p>
        )}
      </section>
      {view && (
        <>
          <Drills view={view} now={now} />
          <OldStringOffer view={view} />
          <HowItGoes view={view} now={now} />
          {view.effect && <WhatItDid effect={view.effect} />}
        </>
      )}
    </div>
  )
}

function Due({ view, now }: { view: PracticeView; now: number }) {
  const { timeZone } = useWorkshop()
  const { due, next, dueAt, known } = view
  const drills = DRILLS.filter((drill) => next.some((one) => one.drill === drill))
  if (next.length === 0)
    return (
      <p className="mt-3 text-lg">
        Nothing is due{dueAt === null ? '' : `: the next comes ${nearText(dueAt, now, timeZone)}`}. Any drill
        below can be done all the same.
      </p>
    )
  return (
    <div className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-3">
      <Link href={pages.practiceDue} className="button button-main min-h-16 w-full px-8 text-xl sm:w-auto">
        {due > 0 ? 'Practise what is due' : known > 0 ? 'Practise something new' : 'Begin'}
      </Link>
      <p className="min-w-60 flex-1">
        {due > 0 && (
          <strong>
            {due === 1 ? 'One thing is due' : `${due} things are due`}
            {due > next.length ? `, ${next.length} at a time` : ''}.{' '}
          </strong>
        )}
        {drills.map((drill) => drillFacts(drill).title.replace(/\?$/, '')).join(' · ')}
      </p>
    </div>
  )
}

function Drills({ view, now }: { view: PracticeView; now: number }) {
  const { timeZone } = useWorkshop()
  const router = useRouter()
  const { slug, instruments, drills, measured } = view
  return (
    <section className="sheet p-5" aria-labelledby="drills">
      <header className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="drills" className="text-xl font-semibold">
          Drills
        </h2>
        {instruments.length > 1 && (
          <Selection
            label="On"
            value={slug}
            options={instruments.map((one) => ({ value: one.slug, word: one.name }))}
            choose={(to) => router.push(pages.practiceOn(to), { scroll: false })}
          />
        )}
      </header>
      <ul className="mt-3 grid gap-x-6 md:grid-cols-2">
        {drills.map((drill) => {
          const facts = drillFacts(drill)
          const last = measured.find((one) => one.drill === drill)?.last
          return (
            <li key={drill} className="border-t border-rule">
              <Link
                href={pages.drill(drill, slug)}
                className="group flex min-h-16 items-baseline justify-between gap-3 py-2"
              >
                <span>
                  <strong className="text-lg group-hover:underline">{facts.title}</strong>
                  <span className="block text-sm">
                    {facts.does}
                    {facts.byEar && ' It takes a loudspeaker.'}
                  </span>
                </span>
                <span className="shrink-0 text-sm text-soft">
                  {last === undefined ? 'never done' : nearText(last, now, timeZone)}
                </span>
              </Link>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
