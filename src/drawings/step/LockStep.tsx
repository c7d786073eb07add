'use client'

import { useMemo } from 'react'
import type { FittingContext } from '@/core/fitting/context'
import type { StringFigures } from '@/core/fitting/figures'
import { drawnPin } from '@/core/knots/heads/heads'
import { tyingOf } from '@/core/knots/tying'
import { lookOf } from '../knot/string-look'
import { TyingStep } from './TyingStep'

/** How this very string is locked on its pin, one move at a time: on a pin as thick against it as it is. */
export function LockStep({
  figures: { head, gauge, position },
  context: { figures, habits },
  jobId,
}: {
  figures: StringFigures
  context: FittingContext
  jobId: number
}) {
  const tying = useMemo(
    () =>
      tyingOf(head, {
        place: habits.anchorPlace,
        pin: drawnPin(position.head.pin, gauge),
      }),
    [head, habits.anchorPlace, position.head.pin, gauge],
  )
  const look = useMemo(() => lookOf(figures.construction, position.tail.eyeletBore), [figures, position])
  return (
    <TyingStep
      tying={tying}
      // Which way a pin turns is the instrument’s, whoever winds it.
      hand="right"
      look={look}
      jobId={jobId}
      of={`the string’s hold on its pin, ${head}`}
      further="From either side, larger"
    />
  )
}
