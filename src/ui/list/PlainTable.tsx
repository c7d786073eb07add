import type { ReactNode } from 'react'

export interface TableHead {
  readonly word: string
  /** Figures stand at the right. */
  readonly isFigure?: boolean
  /** Left out where the screen is narrow; on paper it stands. */
  readonly isSpare?: boolean
}

interface PlainTableProps {
  readonly label: string
  readonly heads: readonly TableHead[]
  /** Its rows. */
  readonly children: ReactNode
}

/** A ruled table that can be pushed aside where it is wider than the screen. */
export function PlainTable({ label, heads, children }: PlainTableProps) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={`${label}, to be pushed aside`}>
      <table className="mt-1 w-full text-left" aria-label={label}>
        <thead>
          <tr className="border-b border-ink text-sm text-soft">
            {heads.map(({ word, isFigure, isSpare }) => (
              <th
                key={word}
                className={`py-1 pr-3 font-normal last:pr-0 ${isFigure ? 'text-right' : ''} ${isSpare ? 'hidden sm:table-cell print:table-cell' : ''}`}
              >
                {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  )
}
