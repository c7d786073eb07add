'use client'

import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getPaginationRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table'
import { ArrowDown, ArrowUp } from 'lucide-react'
import Link from 'next/link'
import { memo, useDeferredValue, useMemo, useState } from 'react'
import { measure } from '@/core/measure'
import { materialWord, outerGauge } from '@/core/strings/construction'
import type { CoilRow } from '@/data/views/stores-view'
import { CoilBar } from '@/drawings/CoilBar'
import { measureText } from '@/ui/format/measure'
import { dateText } from '@/ui/format/time'
import { useHouse } from '@/ui/units'
import { BookInForm } from './BookInForm'

/** Shorter than any string that is ever cut, m. */
const SCRAP = 0.1
/** The length of coil that fills a row; only reels of wire are longer, m. */
const FILLS = 2.5
const ROWS = 25

const column = createColumnHelper<CoilRow>()
const COLUMNS = [
  column.accessor('label', { header: 'Packet', sortingFn: 'alphanumeric' }),
  column.accessor((coil) => materialWord(coil.construction), { id: 'material', header: 'Material' }),
  column.accessor((coil) => outerGauge(coil.construction), { id: 'gauge', header: 'Gauge' }),
  column.accessor('lengthLeft', { header: 'Left' }),
  column.accessor('serves', { header: 'For' }),
  column.accessor('boughtAt', { header: 'Bought' }),
]

/** Coils as their lengths, with their past cuts and the next one planned; to be sorted, looked through, booked in. */
export function StoresSheet({ coils }: { readonly coils: readonly CoilRow[] }) {
  const { unit, timeZone } = useHouse()
  const [looked, setLooked] = useState('')
  const [material, setMaterial] = useState('all')
  const [openedOnly, setOpenedOnly] = useState(false)
  const [sorting, setSorting] = useState<SortingState>([{ id: 'material', desc: false }])
  const words = useDeferredValue(looked)
  const materials = useMemo(
    () => [...new Set(coils.map((c) => materialWord(c.construction)))].sort(),
    [coils],
  )
  const kept = useMemo(() => coils.filter(({ lengthLeft }) => lengthLeft >= SCRAP), [coils])
  const shown = useMemo(
    () =>
      kept.filter(
        (c) => (material === 'all' || materialWord(c.construction) === material) && (!openedOnly || c.opened),
      ),
    [kept, material, openedOnly],
  )
  const haystacks = useMemo(() => new Map(coils.map((coil) => [coil.id, haystack(coil)])), [coils])
  // eslint-disable-next-line react-hooks/incompatible-library -- the table keeps its own memo
  const table = useReactTable({
    data: shown as CoilRow[],
    columns: COLUMNS,
    state: { sorting, globalFilter: words },
    onSortingChange: setSorting,
    globalFilterFn: (row, _, text: string) =>
      (haystacks.get(row.original.id) ?? '').includes(text.trim().toLowerCase()),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getPaginationRowModel: getPaginationRowModel(),
    initialState: { pagination: { pageSize: ROWS } },
  })
  const found = table.getFilteredRowModel().rows.length
  const { pageIndex } = table.getState().pagination
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="coils">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <h1 id="coils" className="text-2xl font-semibold">
            Stores
          </h1>
          <div className="flex flex-wrap items-end gap-2 text-sm">
            <label className="flex flex-col gap-1">
              Look for
              <input
                className="entry w-44"
                value={looked}
                onChange={(event) => setLooked(event.target.value)}
                placeholder="gut 1.24, drawer A3"
              />
            </label>
            <label className="block">
              Material
              <select
                className="entry mt-1 block w-52"
                value={material}
                onChange={(event) => setMaterial(event.target.value)}
              >
                <option>all</option>
                {materials.map((m) => (
                  <option key={m}>{m}</option>
                ))}
              </select>
            </label>
            <label className="inline-flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-verdigris"
                checked={openedOnly}
                onChange={(event) => setOpenedOnly(event.target.checked)}
              />{' '}
              remainders only
            </label>
          </div>
        </header>
        <p className="mt-1 text-sm text-soft" role="status">
          {found === kept.length ? `${found} coils` : `${found} of ${kept.length} coils`}
        </p>
        <div
          className="mt-2 overflow-x-auto"
          tabIndex={0}
          role="group"
          aria-label="Coils, to be scrolled sideways"
        >
          <table className="w-full min-w-[42rem] border-collapse text-sm" aria-label="Coils">
            <thead>
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id} className="border-b border-ink text-left text-xs text-soft">
                  {group.headers.map((header) => {
                    const way = header.column.getIsSorted()
                    return (
                      <th
                        key={header.id}
                        scope="col"
                        className="p-0 font-normal"
                        aria-sort={way === 'asc' ? 'ascending' : way === 'desc' ? 'descending' : 'none'}
                      >
                        <button
                          type="button"
                          className="inline-flex min-h-9 items-center gap-1 px-1 hover:text-ink"
                          onClick={header.column.getToggleSortingHandler()}
                        >
                          {flexRender(header.column.columnDef.header, header.getContext())}
                          {way === 'asc' && <ArrowDown size={13} aria-hidden />}
                          {way === 'desc' && <ArrowUp size={13} aria-hidden />}
                        </button>
                      </th>
                    )
                  })}
                </tr>
              ))}
            </thead>
            <tbody>
              {table.getRowModel().rows.map(({ original: coil }) => (
                <CoilTableRow key={coil.id} coil={coil} unit={unit} timeZone={timeZone} />
              ))}
            </tbody>
          </table>
        </div>
        {found === 0 && <p className="mt-4">Nothing of that is on the shelf.</p>}
        {table.getPageCount() > 1 && (
          <div className="mt-3 flex items-center justify-between gap-3">
            <button
              type="button"
              className="button"
              disabled={!table.getCanPreviousPage()}
              onClick={() => table.previousPage()}
            >
              Before
            </button>
            <span className="text-sm text-soft">
              {pageIndex * ROWS + 1} to {Math.min(found, (pageIndex + 1) * ROWS)} of {found}
            </span>
            <button
              type="button"
              className="button"
              disabled={!table.getCanNextPage()}
              onClick={() => table.nextPage()}
            >
              After
            </button>
          </div>
        )}
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

/** Kept as it is while others are looked for: drawing every coil anew with each letter would be felt. */
const CoilTableRow = memo(function CoilTableRow({
  coil,
  unit,
  timeZone,
}: {
  readonly coil: CoilRow
  readonly unit: 'mm' | 'in'
  readonly timeZone: string
}) {
  return (
    <tr className="border-b border-rule align-top">
      <td className="py-2 pr-2">
        <Link
          className="inline-block min-h-6 font-semibold whitespace-nowrap hover:underline"
          href={`/stores/coils/${coil.id}`}
        >
          {coil.label}
        </Link>
        <div className="text-soft">{coil.place}</div>
      </td>
      <td className="py-2 pr-2">
        {materialWord(coil.construction)}
        <div className="text-soft">
          {coil.colour}, {coil.tensionClass}
          {coil.end === 'plain' ? '' : `, ${coil.end}`}
        </div>
      </td>
      <td className="plate-figure py-2 pr-2 text-base whitespace-nowrap">
        {measureText(measure('gauge', outerGauge(coil.construction)), unit)}
      </td>
      <td className="w-[38%] py-2 pr-3">
        <CoilBar
          bought={coil.boughtLength}
          left={coil.lengthLeft}
          cuts={coil.cuts.map((c) => c.length)}
          planned={coil.setAside}
          fills={FILLS}
        />
      </td>
      <td className="py-2 pr-2 text-soft">
        {coil.serves || 'nothing charted'}
        {coil.otherMake && <div className="text-xs text-ochre">! {coil.otherMake}</div>}
      </td>
      <td className="py-2 whitespace-nowrap text-soft">
        {dateText(coil.boughtAt, timeZone)}
        <div>{coil.opened ? 'opened' : 'fresh'}</div>
      </td>
    </tr>
  )
})

/** All that a coil can be looked for by. */
function haystack(coil: CoilRow): string {
  return `${coil.label} ${coil.place} ${materialWord(coil.construction)} ${(outerGauge(coil.construction) * 1000).toFixed(2)} ${coil.colour} ${coil.tensionClass} ${coil.end} ${coil.maker} ${coil.line} ${coil.serves}`.toLowerCase()
}
