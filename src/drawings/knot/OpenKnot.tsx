'use client'

import type { FittingContext } from '@/core/fitting/context'
import { FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { tyingOf } from '@/core/knots/tying'
import { frameOf } from './frame'
import { KnotDrawing } from './KnotDrawing'
import { lookOf } from './string-look'

/** The lower end of a string as it is tied, open, for paper. */
export function OpenKnot({
  context: { figures, habits, position },
  className,
}: {
  context: FittingContext
  className?: string
}) {
  const { fastening, eyeletBore } = position.tail
  const tying = tyingOf(fastening, { place: habits.anchorPlace })
  const open = tying.drawnFrom ?? tying.stages.length
  const state = tying.stateAt(open)
  // Tied without an anchor, none is drawn.
  const fixtures = state.fixtures.filter(({ kind }) => kind !== 'anchor' || figures.needsAnchor)
  return (
    <KnotDrawing
      state={{ ...state, fixtures, fresh: [-1, -1] }}
      frame={frameOf(tying, FROM_OUTSIDE, habits.hand)}
      view={FROM_OUTSIDE}
      hand={habits.hand}
      title={`${fastening}, still open`}
      board={tying.throughBoard ? { bore: lookOf(figures.construction, eyeletBore).bore } : null}
      className={className ?? ''}
    />
  )
}
