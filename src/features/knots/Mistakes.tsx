'use client'

import { memo } from 'react'
import { mistakesOf } from '@/core/knots/tails/mistakes'
import { saidFor } from '@/core/knots/tails/said-for'
import { stateOf, whereTheyDiffer } from '@/core/knots/tails/state'
import type { AnchorPlace, TailEnd } from '@/core/knots/tails/tail-end'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { tyingOf } from '@/core/knots/tying'
import { frameOf, type Hand } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'
import { USUAL_LOOK } from '@/drawings/knot/string-look'

interface MistakesProps {
  readonly tailEnd: TailEnd
  readonly place: AnchorPlace
  readonly hand: Hand
  readonly inside: boolean
}

/** What goes wrong with this knot, as drawings beside the right one, with what will happen. */
export const Mistakes = memo(function Mistakes({ tailEnd, place, hand, inside }: MistakesProps) {
  const mistakes = mistakesOf(tailEnd.fastening, place)
  if (mistakes.length === 0) return null
  const view = inside ? FROM_INSIDE : FROM_OUTSIDE
  const said = (says: string) => saidFor(says, { inside, hand })
  const frame = frameOf(tyingOf(tailEnd.fastening, { place }), view, hand)
  const open = tailEnd.stages.length - (tailEnd.drawnTo === null ? 0 : 1)
  const showing = (one: TailEnd, other: TailEnd) => ({
    ...stateOf(one, open, null),
    fresh: whereTheyDiffer(one, other),
  })
  const drawing = {
    frame,
    view,
    hand,
    board: tailEnd.throughBoard ? { bore: USUAL_LOOK.bore } : null,
    className: 'h-52 w-full print:h-32 print:landscape:h-24',
  }
  return (
    <section aria-label="Common mistakes" className="mt-6 border-t border-ink pt-3 print:mt-3">
      <h3 className="text-lg font-semibold">Common mistakes</h3>
      <div className="mt-2 grid gap-6 md:grid-cols-3 print:grid-cols-3 print:gap-4 print:text-sm">
        <figure className="break-inside-avoid">
          <KnotDrawing
            {...drawing}
            state={showing(tailEnd, mistakes[0]?.tailEnd ?? tailEnd)}
            title={`${tailEnd.fastening}, tied right`}
          />
          <figcaption>
            <strong className="text-verdigris">Right.</strong> Before it is drawn down; where the mistake is
            made is filled.
          </figcaption>
        </figure>
        {mistakes.map((mistake) => (
          <figure key={mistake.title} className="break-inside-avoid">
            <KnotDrawing {...drawing} state={showing(mistake.tailEnd, tailEnd)} title={mistake.title} />
            <figcaption>
              <strong className="text-ochre">
                Wrong: {said(`${mistake.title.charAt(0).toLowerCase()}${mistake.title.slice(1)}`)}.
              </strong>{' '}
              {said(mistake.happens)}
            </figcaption>
          </figure>
        ))}
      </div>
    </section>
  )
})
