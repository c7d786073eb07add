'use client'

import { useMemo } from 'react'
import type { FittingContext } from '@/core/fitting/context'
import { movesSaid } from '@/core/fitting/knot-words'
import { byHandOrStages } from '@/core/knots/film/by-hand'
import { lookOf } from '../knot/string-look'
import { useDrawn } from '../knot/use-drawn'
import { TyingStep } from './TyingStep'

/** The knot of this very string, tied before the eye one move of the hands at a time. */
export function KnotStep({
  context: { figures, habits, position },
  jobId,
}: {
  context: FittingContext
  jobId: number
}) {
  const { fastening, eyeletBore } = position.tail
  const drawn = useDrawn()
  const tying = useMemo(() => {
    const options = { place: habits.anchorPlace, ...(drawn ? { drawn } : {}) }
    const anchored = figures.needsAnchor
    const says = movesSaid(fastening, habits, anchored)
    return byHandOrStages(fastening, { ...options, anchored, says })
  }, [fastening, habits, figures.needsAnchor, drawn])
  const look = useMemo(() => lookOf(figures.construction, eyeletBore), [figures.construction, eyeletBore])
  return (
    <TyingStep
      tying={tying}
      hand={habits.hand}
      look={look}
      jobId={jobId}
      of={`the ${fastening} knot`}
      further="From either side, and crossing by crossing"
    />
  )
}
