'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import type { SuggestedNeed } from '@/data/buying/suggested-needs'
import { chanceText } from '@/ui/format/chance'

interface SuggestionsProps {
  /** The first of them, told. */
  readonly shown: readonly SuggestedNeed[]
  /** How many there are in all. */
  readonly count: number
  /** Putting them on is the first thing to do here. */
  readonly first: boolean
  readonly put: (one: SuggestedNeed) => void
  readonly putAll: () => void
}

/** Strings that belong on the need list and are not on it. */
export function Suggestions({ shown, count, first, put, putAll }: SuggestionsProps) {
  if (count === 0) return null
  return (
    <div className="mt-4 border-t border-ink pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">It belongs on the list</h2>
        <button type="button" className={`button ${first ? 'button-main' : ''}`} onClick={putAll}>
          Put all {count} on
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
              <span className="block text-sm text-soft">
                {one.why}
                {one.runsOut !== null &&
                  `: ${chanceText(one.runsOut)} that they run out before more can be here`}
              </span>
            </span>
            <button
              type="button"
              className="button shrink-0"
              aria-label={`Put ${withThe(one.string)} on the list`}
              onClick={() => put(one)}
            >
              Put on
            </button>
          </li>
        ))}
      </ul>
      {shown.length < count && (
        <Link className="button mt-2" href={pages.allSuggested} prefetch={false}>
          Show all {count}
        </Link>
      )}
    </div>
  )
}
