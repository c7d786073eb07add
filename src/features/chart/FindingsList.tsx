'use client'

import type { Finding } from '@/core/chart/findings'
import { itemAt } from '@/core/list/item-at'
import { PhraseText } from '@/ui/figure/PhraseText'

/** What is odd or wrong about the chart; each leads to its line. */
export function FindingsList({
  findings,
  onPick,
}: {
  readonly findings: readonly Finding[]
  readonly onPick: (number: number) => void
}) {
  if (findings.length === 0)
    return (
      <p className="text-verdigris">
        <span aria-hidden>✓ </span>Nothing odd: materials hold together, gauges and lengths run one way, no
        tension jumps, nothing is near breaking.
      </p>
    )
  return (
    <ul className="ruled" aria-label="Findings">
      {findings.map(({ kind, numbers, weight, says }) => (
        <li key={`${kind}${numbers.join()}`}>
          <button
            type="button"
            className="grid min-h-11 w-full grid-cols-[1.25rem_1fr] items-baseline gap-1 py-1 text-left text-sm hover:underline"
            onClick={() => onPick(itemAt(numbers, 0))}
          >
            <span className="font-semibold text-ochre" aria-hidden>
              {weight === 'wrong' ? '×' : '!'}
            </span>
            <span>
              <span className="sr-only">{weight === 'wrong' ? 'Wrong: ' : 'Odd: '}</span>
              <PhraseText phrase={says} />
            </span>
          </button>
        </li>
      ))}
    </ul>
  )
}
