import { CoilsFilter, type StoresFilter } from './CoilsFilter'
import { pages } from '@/boundary/paths'
import type { CoilsPage } from '@/data/views/stores-view'
import { Pager } from '@/ui/list/Pager'
import { BookInForm } from './BookInForm'
import { CoilsTable } from './CoilsTable'

interface StoresSheetProps {
  readonly view: CoilsPage
  readonly filter: StoresFilter
}

/** Coils as their lengths, with their past cuts and the next one planned; to be sorted, looked through, booked in. */
export function StoresSheet({ view, filter }: StoresSheetProps) {
  const { at, all, rows, materials } = view
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="coils">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <h1 id="coils" className="text-2xl font-semibold">
            Stores
          </h1>
          <CoilsFilter filter={filter} materials={materials} />
        </header>
        <p className="mt-1 text-sm text-soft" role="status">
          {at.found === all ? `${all} coils` : `${at.found} of ${all} coils`}
        </p>
        <CoilsTable rows={rows} filter={filter} />
        {at.found === 0 && <p className="mt-4">Nothing of that is in the stores.</p>}
        <Pager path={pages.stores} filter={{ ...filter }} at={at} />
      </section>
      <section className="sheet p-5" id="book-in" aria-labelledby="booking">
        <h2 id="booking" className="text-xl font-semibold">
          Book in a packet
        </h2>
        <BookInForm />
      </section>
    </div>
  )
}
