'use client'

import type { Route } from 'next'
import { Check } from 'lucide-react'
import Link from 'next/link'
import { endpoints } from '@/boundary/endpoints'
import { measure } from '@/core/measure'
import type { Fastening } from '@/core/knots/tying'
import { PhraseText } from '@/ui/figure/PhraseText'
import { measureText } from '@/ui/format/measure'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import type { StringToTie } from './string-to-tie'

interface KnotChoicesProps {
  readonly string: StringToTie
  readonly now: Fastening
  readonly hrefOf: (fastening: Fastening) => Route
}

/** Which knots suit this string, best first and why, and what each would change: the anchor, and what is cut. */
export function KnotChoices({ string: { jobId, name, tied, choices }, now, hrefOf }: KnotChoicesProps) {
  const { units } = useWorkshop()
  const { act } = useAct()
  const text = (kind: 'width' | 'length', value: number) => measureText(measure(kind, value), units)
  return (
    <section aria-label="Which knot for this string" className="mt-6 border-t border-ink pt-3 print:hidden">
      <h3 className="text-lg font-semibold">Which knot for {name}</h3>
      <ol className="ruled mt-1">
        {choices.map(({ fastening, because, width, needsAnchor, takes }) => (
          <li
            key={fastening}
            className="grid gap-x-4 gap-y-1 py-2 md:grid-cols-[12rem_minmax(0,1fr)_auto] md:items-center"
          >
            <span className="font-semibold">
              {fastening === now ? (
                fastening
              ) : (
                <Link href={hrefOf(fastening)} className="underline underline-offset-4">
                  {fastening}
                </Link>
              )}
            </span>
            <span>
              <PhraseText phrase={because} />
              <span className="block text-sm text-soft">
                {width === null ? '' : `${text('width', width)} wide; `}
                {needsAnchor ? 'needs an anchor' : 'needs no anchor'}; takes {text('length', takes)} with its
                tag
              </span>
            </span>
            {fastening === tied ? (
              <span className="inline-flex min-h-11 items-center gap-2 font-semibold text-verdigris">
                <Check aria-hidden className="size-5" /> tied in this job
              </span>
            ) : (
              <button
                type="button"
                className="button"
                onClick={() =>
                  act(
                    endpoints.setHabit,
                    { of: 'job', jobId, key: 'knot', value: fastening },
                    `This job’s knot: ${fastening}.`,
                  )
                }
              >
                Tie this one
              </button>
            )}
          </li>
        ))}
      </ol>
    </section>
  )
}
