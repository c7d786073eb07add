'use client'

import Link from 'next/link'
import type { ShelfEntry } from '@/data/views/shelf-view'
import { InstrumentSketch } from '@/drawings/field/InstrumentSketch'
import { useLeadingNames } from '@/ui/units'

interface InstrumentShelfProps {
  readonly title: string
  readonly lead: string
  readonly instruments: readonly ShelfEntry[]
}

/** The shelf: every instrument by its own string field in small. */
export function InstrumentShelf({ title, lead, instruments }: InstrumentShelfProps) {
  const leadingNames = useLeadingNames()
  return (
    <div className="sheet p-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl font-semibold">{title}</h1>
          <p className="text-soft">{lead}</p>
        </div>
        <Link href="/instruments/new" className="button">
          A new instrument
        </Link>
      </div>
      {instruments.length === 0 && <p className="mt-6">No instrument is on the shelf yet.</p>}
      <ul className="mt-4 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {instruments.map(({ instrument, broken }) => (
          <li key={instrument.slug} className="border-t border-ink">
            <Link href={`/instruments/${instrument.slug}`} className="group block py-4">
              <InstrumentSketch
                instrument={instrument}
                broken={broken}
                className="mx-auto h-56 max-w-full md:h-72"
              />
              <h2 className="mt-3 text-xl font-semibold group-hover:underline">{instrument.name}</h2>
              <p className="text-sm text-soft">
                {instrument.family}, {instrument.positions.length} strings, {instrument.restTuning} at rest
              </p>
              <p className="text-sm text-soft">{instrument.owner}</p>
              {broken.length > 0 && (
                <p className="mt-1 text-sm font-semibold text-ochre">
                  Broken:{' '}
                  {broken
                    .map((number) => leadingNames(instrument.positions[number - 1]!).name)
                    .filter((name, i, all) => all.indexOf(name) === i)
                    .join(', ')}
                </p>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}
