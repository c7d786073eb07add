import type { Route } from 'next'
import Link from 'next/link'
import { counted } from '@/core/list/counted'
import { pages } from '@/boundary/paths'
import type { ShelfPage } from '@/data/views/shelf-view'
import { Miniature } from '@/drawings/field/Miniature'
import { Pager } from '@/ui/list/Pager'
import { ShelfFilter, type ShelfFilterText } from './ShelfFilter'

interface InstrumentShelfProps {
  readonly title: string
  readonly lead: string
  /** Where an instrument leads. */
  readonly leadsTo: 'instrument' | 'brokeOn'
  /** Of the page it stands on. */
  readonly path: Route
  readonly view: ShelfPage
  readonly filter: ShelfFilterText
}

/** The shelf: every instrument by its own string field in small. */
export function InstrumentShelf({ title, lead, leadsTo, path, view, filter }: InstrumentShelfProps) {
  const { entries, at, all, families } = view
  return (
    <div className="sheet p-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl font-semibold">{title}</h1>
          <p className="text-soft">{lead}</p>
        </div>
        <Link href={pages.newInstrument} className="button">
          A new instrument
        </Link>
      </div>
      {all > FEW && <ShelfFilter filter={filter} families={families} />}
      {all > FEW && (
        <p className="mt-2 text-sm text-soft" role="status">
          {at.found === all ? `${all} instruments` : `${at.found} of ${all} instruments`}
        </p>
      )}
      {all === 0 && <p className="mt-6">No instrument is on the shelf yet.</p>}
      {all > 0 && at.found === 0 && <p className="mt-6">No instrument is like that.</p>}
      <ul className="mt-4 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {entries.map(({ instrument, broken, brokenNames }) => (
          <li key={instrument.slug} className="border-t border-ink">
            <Link href={pages[leadsTo](instrument.slug)} prefetch={false} className="group block py-4">
              <Miniature
                instrument={instrument}
                broken={broken}
                className="mx-auto h-56 max-w-full md:h-72"
              />
              <h2 className="mt-3 text-xl font-semibold group-hover:underline">{instrument.name}</h2>
              <p className="text-sm text-soft">
                {instrument.family}, {counted(instrument.positions.length, 'string')}, {instrument.restTuning}{' '}
                at rest
              </p>
              <p className="text-sm text-soft">{instrument.owner}</p>
              {brokenNames.length > 0 && (
                <p className="mt-1 text-sm font-semibold text-ochre">Broken: {brokenNames.join(', ')}</p>
              )}
            </Link>
          </li>
        ))}
      </ul>
      <Pager path={path} filter={{ ...filter }} at={at} />
    </div>
  )
}

/** A shelf of so many is looked over at a glance. */
const FEW = 6
