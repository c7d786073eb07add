'use client'

import { ArrowLeft, ArrowRight } from 'lucide-react'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { pages } from '@/boundary/paths'
import type { FittingContext } from '@/core/fitting/context'
import { saidFor } from '@/core/knots/tails/said-for'
import { tyingOf } from '@/core/knots/tying'
import { KnotPlayer } from '../knot/KnotPlayer'
import { lookOf } from '../knot/string-look'
import { useDrawn } from '../knot/use-drawn'

/** The knot of this very string, tied before the eye one stage at a time. */
export function KnotStep({
  context: { figures, habits, position },
  jobId,
}: {
  context: FittingContext
  jobId: number
}) {
  const { fastening, eyeletBore } = position.tail
  const drawn = useDrawn()
  const [at, setAt] = useState(0)
  const tying = useMemo(
    () => tyingOf(fastening, { place: habits.anchorPlace, ...(drawn ? { drawn } : {}) }),
    [fastening, habits.anchorPlace, drawn],
  )
  const look = useMemo(() => lookOf(figures.construction, eyeletBore), [figures.construction, eyeletBore])
  const last = tying.stages.length - 1
  const says = saidFor(tying.stages[at]?.says ?? '', { inside: false, hand: habits.hand })
  return (
    <figure className="border border-rule p-2">
      <KnotPlayer
        tying={tying}
        stage={at}
        hand={habits.hand}
        inside={false}
        slow={false}
        title={`Stage ${at + 1} of the ${fastening} knot: ${says}`}
        look={look}
        className="h-64 w-full"
      />
      <figcaption>
        <p aria-live="polite" className="min-h-20 text-lg leading-snug">
          <span className="label">
            Stage {at + 1} of {last + 1}
          </span>{' '}
          {says}
        </p>
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <button type="button" className="button min-h-12" disabled={at === 0} onClick={() => setAt(at - 1)}>
            <ArrowLeft aria-hidden /> Stage before
          </button>
          <button
            type="button"
            className="button min-h-12"
            disabled={at === last}
            onClick={() => setAt(at + 1)}
          >
            Next stage <ArrowRight aria-hidden />
          </button>
          <Link
            href={pages.knot(fastening, jobId)}
            className="inline-flex min-h-12 items-center px-2 underline underline-offset-4"
          >
            Stage by stage, from either side
          </Link>
        </div>
      </figcaption>
    </figure>
  )
}
