import Link from 'next/link'
import { addressOf } from './address'

interface PagerProps {
  readonly path: string
  /** The rest of the address; pages keep it. */
  readonly filter: Readonly<Record<string, string>>
  /** Counted from 0. */
  readonly page: number
  readonly pages: number
  /** What is on the page: `26 to 50 of 312`. */
  readonly shown: string
}

/** Leads to the page before and the one after. */
export function Pager({ path, filter, page, pages, shown }: PagerProps) {
  if (pages <= 1) return null
  const to = (other: number) => addressOf(path, { ...filter, page: other === 0 ? '' : String(other + 1) })
  return (
    <nav className="mt-3 flex items-center justify-between gap-3 print:hidden" aria-label="Pages">
      {page > 0 ? (
        <Link className="button" href={to(page - 1)} prefetch={false}>
          Before
        </Link>
      ) : (
        <span aria-hidden className="w-24" />
      )}
      <span className="text-sm text-soft">{shown}</span>
      {page < pages - 1 ? (
        <Link className="button" href={to(page + 1)} prefetch={false}>
          After
        </Link>
      ) : (
        <span aria-hidden className="w-24" />
      )}
    </nav>
  )
}
