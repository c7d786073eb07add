'use client'

import Link from 'next/link'
import { useState } from 'react'
import { measure } from '@/core/measure'
import { materialWord, outerGauge } from '@/core/strings/construction'
import type { Coil } from '@/data/coils'
import type { Need } from '@/data/need-list'
import { CoilBar } from '@/ui/drawings/CoilBar'
import { measureText } from '@/ui/format/measure'
import { dateText } from '@/ui/format/time'
import { useHouse } from '@/ui/units'
import { BookInForm } from './BookInForm'

/** Shorter than any string that is ever cut, m. */
const SCRAP = 0.1
/** The length of coil that fills a row; only reels of wire are longer, m. */
const FILLS = 2.5

/** Coils as their lengths, with their past cuts; what must be bought; booking in. */
export function StoresSheet({ coils, needs }: { coils: readonly Coil[]; needs: readonly Need[] }) {
  const { unit, timeZone } = useHouse()
  const materials = [...new Set(coils.map((c) => materialWord(c.construction)))]
  const [material, setMaterial] = useState('all')
  const shown = coils
    .filter((c) => c.lengthLeft >= SCRAP && (material === 'all' || materialWord(c.construction) === material))
    .sort((a, b) => materialWord(a.construction).localeCompare(materialWord(b.construction)) || outerGauge(a.construction) - outerGauge(b.construction))
  const gauge = (coil: Coil) => measureText(measure('gauge', outerGauge(coil.construction)), unit)
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-5" aria-labelledby="coils">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <h1 id="coils" className="text-2xl font-semibold">Stores</h1>
          <label className="text-sm">Material <select className="entry ml-2 w-auto" value={material} onChange={(e) => setMaterial(e.target.value)}><option>all</option>{materials.map((m) => <option key={m}>{m}</option>)}</select></label>
        </header>
        {shown.length === 0 && <p className="mt-4">Nothing of that is on the shelf.</p>}
        <ul className="ruled mt-3">
          {shown.map((coil) => (
            <li key={coil.id} className="grid items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[7rem_11rem_minmax(0,1fr)]">
              <span><span className="block font-semibold">{coil.label}</span><span className="block text-sm text-soft">{coil.place}</span></span>
              <span className="text-sm"><span className="block">{materialWord(coil.construction)} <strong className="plate-figure text-base">{gauge(coil)}</strong></span><span className="block text-soft">{coil.colour}, {coil.tensionClass}{coil.opened ? '' : ', fresh'}</span></span>
              <span><CoilBar bought={coil.boughtLength} left={coil.lengthLeft} cuts={coil.cuts.map((c) => c.length)} fills={FILLS} /><span className="label">{coil.maker} {coil.line}, bought {dateText(coil.boughtAt, timeZone)}</span></span>
            </li>
          ))}
        </ul>
      </section>
      <div className="flex flex-col gap-4">
        <section className="sheet p-5" aria-labelledby="needs">
          <h2 id="needs" className="text-xl font-semibold">Need list</h2>
          {needs.length === 0 && <p className="text-soft">Nothing is needed.</p>}
          <ul className="ruled">
            {needs.map((need) => (
              <li key={need.id} className="py-3">
                <h3 className="font-semibold">{need.jobId === null ? need.string : <Link href={`/jobs/${need.jobId}`} className="hover:underline">{need.string}</Link>}</h3>
                <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-sm">
                  {need.lines.map(([what, text]) => [<dt key={what} className="text-soft">{what}</dt>, <dd key={`${what}=`}>{text}</dd>])}
                </dl>
              </li>
            ))}
          </ul>
        </section>
        <section className="sheet p-5" id="book-in" aria-labelledby="booking">
          <h2 id="booking" className="text-xl font-semibold">Book in a packet</h2>
          <BookInForm />
        </section>
      </div>
    </div>
  )
}
