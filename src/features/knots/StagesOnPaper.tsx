'use client'

import { memo } from 'react'
import { saidFor } from '@/core/knots/tails/said-for'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { tightness, type Tying } from '@/core/knots/tying'
import { frameOf, type Hand } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'

interface StagesOnPaperProps {
  readonly tying: Tying
  readonly hand: Hand
  readonly inside: boolean
  /** Of the eyelet, in gauges. */
  readonly bore: number
}

/** All stages of a fastening on one printed page. Not drawn anew when the screen goes on to another stage. */
export const StagesOnPaper = memo(function StagesOnPaper({ tying, hand, inside, bore }: StagesOnPaperProps) {
  const view = inside ? FROM_INSIDE : FROM_OUTSIDE
  const frame = frameOf(tying, view, hand)
  return (
    <ol className="mt-3 hidden grid-cols-[repeat(auto-fill,minmax(48mm,1fr))] gap-x-4 gap-y-2 text-sm print:grid print:landscape:grid-cols-[repeat(auto-fill,minmax(38mm,1fr))]">
      {tying.stages.map(({ says }, i) => (
        <li key={says} className="break-inside-avoid">
          <KnotDrawing
            state={tying.stateAt(i + 1)}
            frame={frame}
            view={view}
            hand={hand}
            title={`Stage ${i + 1}`}
            board={tying.throughBoard ? { bore } : null}
            names={tying.names}
            tight={tightness(tying, i + 1) > 0}
            className="h-36 w-full print:h-28"
          />
          <p>
            {i + 1}. {saidFor(says, { inside, hand })}
          </p>
        </li>
      ))}
    </ol>
  )
})
