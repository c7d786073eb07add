'use client'

import { ArrowLeft, ArrowRight } from 'lucide-react'
import Link from 'next/link'
import { useState } from 'react'
import { pages } from '@/boundary/paths'
import { saidFor } from '@/core/knots/tails/said-for'
import type { Tying } from '@/core/knots/tying'
import type { Hand } from '../knot/frame'
import { KnotPlayer } from '../knot/KnotPlayer'
import type { StringLook } from '../knot/string-look'

interface TyingStepProps {
  readonly tying: Tying
  readonly hand: Hand
  readonly look: StringLook
  readonly jobId: number
  /** Of what it is a move: `the third loop knot`. */
  readonly of: string
  /** What the link to its own sheet says. */
  readonly further: string
}

/** How a string is fastened at one end, before the eye, one move at a time. */
export function TyingStep({ tying, hand, look, jobId, of, further }: TyingStepProps) {
  const [at, setAt] = useState(0)
  const last = tying.stages.length - 1
  const says = saidFor(tying.stages[at]?.says ?? '', { inside: false, hand })
  return (
    <figure className="border border-rule p-2">
      <KnotPlayer
        tying={tying}
        stage={at}
        hand={hand}
        inside={false}
        slow={false}
        title={`Move ${at + 1} of ${of}: ${says}`}
        look={look}
        className="h-64 w-full"
      />
      <figcaption>
        <p aria-live="polite" className="min-h-20 text-lg leading-snug">
          <span className="label">
            Move {at + 1} of {last + 1}
          </span>{' '}
          {says}
        </p>
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <button type="button" className="button min-h-12" disabled={at === 0} onClick={() => setAt(at - 1)}>
            <ArrowLeft aria-hidden /> Move before
          </button>
          <button
            type="button"
            className="button min-h-12"
            disabled={at === last}
            onClick={() => setAt(at + 1)}
          >
            Next move <ArrowRight aria-hidden />
          </button>
          <Link
            href={pages.knot(tying.fastening, jobId)}
            className="inline-flex min-h-12 items-center px-2 underline underline-offset-4"
          >
            {further}
          </Link>
        </div>
      </figcaption>
    </figure>
  )
}
