'use client'

import type { Route } from 'next'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { FASTENINGS, isTail, type Fastening } from '@/core/knots/tying'

interface KnotListProps {
  readonly now: Fastening
  readonly hrefOf: (fastening: Fastening) => Route
}

const ENDS = [
  ['Lower end', FASTENINGS.filter(isTail)],
  ['On the tuning pin', FASTENINGS.filter((f) => !isTail(f))],
] as const

/** Every fastening of both ends: a list beside the knot, on a phone one line to choose from. */
export function KnotList({ now, hrefOf }: KnotListProps) {
  const router = useRouter()
  return (
    <nav aria-label="Knots" className="sheet p-3 print:hidden">
      <h1 className="px-2 text-xl font-semibold">Knots</h1>
      <label className="mt-2 block px-2 lg:hidden">
        <span className="label">Which one</span>
        <select
          className="entry mt-1"
          value={now}
          onChange={(event) => router.push(hrefOf(event.target.value as Fastening))}
        >
          {ENDS.map(([end, all]) => (
            <optgroup key={end} label={end}>
              {all.map((f) => (
                <option key={f}>{f}</option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
      <div className="hidden lg:block">
        {ENDS.map(([end, all]) => (
          <section key={end} aria-label={end}>
            <h2 className="label mt-3 px-2">{end}</h2>
            <ul>
              {all.map((fastening) => (
                <li key={fastening}>
                  <Link
                    href={hrefOf(fastening)}
                    aria-current={fastening === now ? 'page' : undefined}
                    className="flex min-h-8 items-center border-l-4 border-transparent px-2 text-[0.95rem] leading-tight hover:border-line aria-[current=page]:border-verdigris aria-[current=page]:bg-verdigris-wash aria-[current=page]:font-semibold"
                  >
                    {fastening}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </nav>
  )
}
