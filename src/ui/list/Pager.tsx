import type { Route } from 'next'
import Link from 'next/link'
import type { PageOf } from '@/core/list/page-of'
import { withQuery } from '@/boundary/paths'

interface PagerProps {
  readonly path: Route
  /** The rest of the address; pages keep it. */
  readonly filter: Readonly<Record<string, string>>
  readonly at: PageOf
}

/** Leads to the page before and the one after. */
export function Pager({ path, filter, at: { page, pages, from, to: last, found } }: PagerProps) {
  if (pages <= 1) return null
  const to = (other: number) => withQuery(path, { ...filter, page: other === 0 ? '' : String(other + 1) })
  return (
    <nav className="mt-3 flex items-center justify-between gap-3 print:hidden" aria-label="Pages">
      {page > 0 ? (
        <Link className="button" href={to(page - 1)} prefetch={false}>
          Before
        </Link>
      ) : (
        <span aria-hidden className="w-24" />
      )}
      <span className="text-sm text-soft">
        {from + 1} to {last} of {found}
      </span>
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
