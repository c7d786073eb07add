'use client'

import { classWords } from '@/core/stores/string-spec'
import { ArrowDown, ArrowUp } from 'lucide-react'
import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import { materialWord, outerGauge } from '@/core/strings/construction'
import type { CoilOrder, CoilsPage } from '@/data/views/stores-view'
import { CoilBar } from '@/drawings/CoilBar'
import { measureText } from '@/ui/format/measure'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'
import type { StoresFilter } from './CoilsFilter'

/** The length of coil that fills a row; only reels of wire are longer, m. */
const FILLS = 2.5

const COLUMNS: readonly { readonly head: string; readonly by: CoilOrder | null }[] = [
  { head: 'Packet', by: 'label' },
  { head: 'Material', by: 'material' },
  { head: 'Gauge', by: 'gauge' },
  { head: 'Left', by: 'left' },
  { head: 'For', by: null },
  { head: 'Bought', by: 'bought' },
]

/** A page of coils, each with its length to scale. */
export function CoilsTable({
  rows,
  filter,
}: {
  readonly rows: CoilsPage['rows']
  readonly filter: StoresFilter
}) {
  const { units, timeZone } = useWorkshop()
  const sorted = filter.by === '' ? 'material' : filter.by
  return (
    <div
      className="mt-2 overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label="Coils, to be scrolled sideways"
    >
      <table className="w-full min-w-[42rem] border-collapse text-sm" aria-label="Coils">
        <thead>
          <tr className="border-b border-ink text-left text-xs text-soft">
            {COLUMNS.map(({ head, by }) => {
              const way = by !== sorted ? 'none' : filter.down === '' ? 'ascending' : 'descending'
              return (
                <th
                  key={head}
                  scope="col"
                  className="p-0 font-normal"
                  aria-sort={by === null ? undefined : way}
                >
                  {by === null ? (
                    <span className="px-1">{head}</span>
                  ) : (
                    <Link
                      prefetch={false}
                      className="inline-flex min-h-9 items-center gap-1 px-1 hover:text-ink"
                      href={pages.coils({ ...filter, by, down: way === 'ascending' ? 'yes' : '' })}
                    >
                      {head}
                      {way === 'ascending' && <ArrowDown size={13} aria-hidden />}
                      {way === 'descending' && <ArrowUp size={13} aria-hidden />}
                    </Link>
                  )}
                </th>
              )
            })}
          </tr>
        </thead>
        <tbody>
          {rows.map((coil) => (
            <tr key={coil.id} className="border-b border-rule align-top">
              <td className="py-2 pr-2">
                <Link
                  className="inline-block min-h-6 font-semibold whitespace-nowrap hover:underline"
                  href={pages.coil(coil.id)}
                  prefetch={false}
                >
                  {coil.label}
                </Link>
                <div className="text-soft">{coil.place}</div>
              </td>
              <td className="py-2 pr-2">
                {materialWord(coil.construction)}
                <div className="text-soft">
                  {[coil.colour, ...classWords(coil.tensionClass)].join(', ')}
                  {coil.end === 'plain' ? '' : `, ${coil.end}`}
                </div>
              </td>
              <td className="plate-figure py-2 pr-2 text-base whitespace-nowrap">
                {measureText(measure('gauge', outerGauge(coil.construction)), units)}
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
                {coil.lainTooLong && <div className="text-xs text-ochre">! {coil.lainTooLong}</div>}
              </td>
              <td className="py-2 whitespace-nowrap text-soft">
                {dateText(coil.boughtAt, timeZone)}
                <div>{coil.opened ? 'opened' : 'fresh'}</div>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
