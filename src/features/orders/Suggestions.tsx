'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import type { SuggestedNeed } from '@/data/buying/need-list'

/** What is put on the list: the rest of a suggestion is only told. */
export type Wanted = Pick<SuggestedNeed, 'positionId' | 'jobId' | 'quantity'>

interface SuggestionsProps {
  /** The first of them, told. */
  readonly shown: readonly SuggestedNeed[]
  readonly all: readonly Wanted[]
  /** Putting them on is the first thing to do here. */
  readonly first: boolean
  readonly put: (some: readonly Wanted[]) => void
}

/** Strings that belong on the need list and are not on it. */
export function Suggestions({ shown, all, first, put }: SuggestionsProps) {
  if (all.length === 0) return null
  return (
    <div className="mt-4 border-t border-ink pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">It belongs on the list</h2>
        <button type="button" className={`button ${first ? 'button-main' : ''}`} onClick={() => put(all)}>
          Put all {all.length} on
        </button>
      </div>
      <ul className="ruled mt-1" aria-label="Suggested">
        {shown.map((one) => (
          <li
            key={`${one.positionId}${one.jobId ?? ''}`}
            className="flex items-center justify-between gap-3 py-1.5"
          >
            <span>
              {one.quantity > 1 && `${one.quantity} × `}
              {one.string}
              <span className="block text-sm text-soft">{one.why}</span>
            </span>
            <button
              type="button"
              className="button shrink-0"
              aria-label={`Put ${withThe(one.string)} on the list`}
              onClick={() => put([one])}
            >
              Put on
            </button>
          </li>
        ))}
      </ul>
      {shown.length < all.length && (
        <Link className="button mt-2" href={pages.allSuggested} prefetch={false}>
          Show all {all.length}
        </Link>
      )}
    </div>
  )
}
