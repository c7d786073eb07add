'use client'

import { useMemo } from 'react'
import { fixturesWith, stateShown } from '@/core/practice/tie-question'
import type { Choice } from '@/core/practice/choice'
import type { ShownAnchor, ShownKnot } from '@/core/practice/question'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { tyingOf } from '@/core/knots/tying'
import { frameOf } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'
import { USUAL_LOOK } from '@/drawings/knot/string-look'

/** All that a shown knot is drawn by. */
function drawingOf(knot: ShownKnot) {
  const view = knot.inside ? FROM_INSIDE : FROM_OUTSIDE
  const tying = tyingOf(knot.fastening, { place: knot.place })
  return {
    state: { ...stateShown(knot), fresh: [-1, -1] as const },
    view,
    hand: knot.hand,
    frame: frameOf(tying, view, knot.hand),
    board: tying.throughBoard ? { bore: USUAL_LOOK.bore } : null,
  }
}

/** A knot still open; answered, the crossing that was covered is seen in a ring. */
export function ShownOneKnot({ knot, isTold }: { knot: ShownKnot; isTold: boolean }) {
  const drawing = useMemo(() => drawingOf(knot), [knot])
  return (
    <KnotDrawing
      {...drawing}
      asked={knot.covered && { ...knot.covered, isCovered: !isTold }}
      title={`${knot.fastening}, still open, seen from ${knot.inside ? 'inside' : 'outside'}${knot.covered && !isTold ? ', one crossing covered' : ''}`}
      className="mx-auto h-[34vh] w-full md:h-[30rem]"
    />
  )
}

/** The same knot with its anchor in several places, each numbered as its choice is. */
export function ShownKnots(props: {
  readonly knots: readonly ShownAnchor[]
  readonly choices: readonly Choice[]
  readonly isTold: boolean
}) {
  const [first] = props.knots
  // One knot, but for its anchor.
  const drawing = useMemo(() => first && drawingOf(first.knot), [first])
  if (!drawing) return null
  return (
    <div className="grid grid-cols-3 gap-2 md:grid-cols-1 lg:grid-cols-3">
      {props.knots.map(({ knot, anchor }, i) => (
        <figure
          key={anchor}
          className={
            props.isTold && props.choices[i]?.mistake === null
              ? 'bg-verdigris-wash outline outline-2 outline-verdigris'
              : ''
          }
        >
          <KnotDrawing
            {...drawing}
            state={{ ...drawing.state, fixtures: fixturesWith(knot, anchor) }}
            title={`${i + 1}: the anchor ${props.choices[i]?.words.toLowerCase() ?? anchor}`}
            named={false}
            className="h-44 w-full md:h-72"
          />
          <figcaption className="text-center font-semibold">{i + 1}</figcaption>
        </figure>
      ))}
    </div>
  )
}
