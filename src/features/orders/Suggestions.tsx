'use client'

import Link from 'next/link'
import type { ReactNode } from 'react'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import { counted } from '@/core/list/counted'
import type { SuggestedNeed } from '@/data/buying/suggested-needs'
import { chanceText } from '@/ui/format/chance'

interface SuggestionsProps {
  /** The first of them. */
  readonly shown: readonly SuggestedNeed[]
  /** How many there are in all. */
  readonly count: number
  readonly put: (one: SuggestedNeed) => void
  readonly putAll: () => void
}

/** Broken strings that have no replacement yet: they are needed, and not on the list. */
export function NeededNow({
  first,
  ...props
}: SuggestionsProps & {
  /** Putting them on is the first thing to do here. */
  readonly first: boolean
}) {
  if (props.count === 0) return null
  return (
    <div className="mt-4 border-t border-ink pt-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg font-semibold">Broken, and not on the list</h2>
        <PutAll {...props} isMain={first} />
      </div>
      <Lines {...props} label="Suggested" />
    </div>
  )
}

/** What stock is short of, folded: it is a suggestion, and nothing waits for it. */
export function StockSuggestions({ isOpen, ...props }: SuggestionsProps & { readonly isOpen: boolean }) {
  if (props.count === 0) return null
  return (
    <details className="mt-4 border-t border-ink pt-2" open={isOpen}>
      <summary className="min-h-11 content-center text-lg font-semibold">
        {counted(props.count, 'suggestion')} for stock
      </summary>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p className="text-sm text-soft">
          Only for instruments that you stock strings for. See each one’s About page.
        </p>
        <PutAll {...props} isMain={false} />
      </div>
      <Lines {...props} label="Suggested for stock" />
    </details>
  )
}

function PutAll({ count, putAll, isMain }: SuggestionsProps & { readonly isMain: boolean }): ReactNode {
  return (
    <button type="button" className={`button ${isMain ? 'button-main' : ''}`} onClick={putAll}>
      Put all {count} on
    </button>
  )
}

function Lines({ shown, count, put, label }: SuggestionsProps & { readonly label: string }) {
  return (
    <>
      <ul className="ruled mt-1" aria-label={label}>
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
    </>
  )
}
