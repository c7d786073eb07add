'use client'

import Link from 'next/link'
import { pages } from '@/boundary/paths'
import { restsOn, type Corrections, type FittingKind } from '@/core/fitting/corrections'
import { measure } from '@/core/measure'
import type { FittingsPage } from '@/data/views/fitting-history'
import { measureText } from '@/ui/format/measure'
import { dateText } from '@/ui/format/time'
import { Pager } from '@/ui/list/Pager'
import { useWorkshop } from '@/ui/units'

interface FittingHistoryProps {
  readonly past: FittingsPage
  /** How many kinds there are; `learned` may be the first of them. */
  readonly kinds: number
  /** By kind of pin and fastening, the most fitted first. */
  readonly learned: readonly { readonly kind: FittingKind; readonly corrections: Corrections }[]
}

/** What was worked out of each fitting and what it came to, and what the house has learned from it. */
export function FittingHistory({ past: { fittings, at }, kinds, learned }: FittingHistoryProps) {
  const { units, timeZone } = useWorkshop()
  const length = (metres: number | null) =>
    metres === null ? '–' : measureText(measure('length', metres), units)
  const number = (value: number | null) => (value === null ? '–' : value.toFixed(2))
  const wraps = fittings.flatMap((f) =>
    f.wraps === null || f.predictedWraps === null ? [] : [f.wraps - f.predictedWraps],
  )
  const cuts = fittings.flatMap((f) =>
    f.cut === null || f.predictedCut === null ? [] : [f.cut - f.predictedCut],
  )
  return (
    <div className="sheet p-4 md:p-6">
      <h1 className="text-2xl font-semibold">Worked out and measured</h1>
      <p className="max-w-prose text-soft">
        Each dot is one of the fittings below: how far it came out from the figure worked out. What a kind of
        pin and fastening has taught is taken into its next job; where it has taught little, its family is
        asked, and then the house.
      </p>
      {fittings.length === 0 ? (
        <p className="mt-4">
          Nothing is fitted yet. What is measured in the steps of a fitting is kept here beside what was
          worked out.
        </p>
      ) : (
        <>
          <div className="mt-4 grid gap-6 border-t border-ink pt-3 md:grid-cols-2">
            <section aria-label="Wraps">
              <h2 className="text-lg font-semibold">Wraps</h2>
              <Strip errors={wraps} widest={2} told={(value) => value.toFixed(1)} />
            </section>
            <section aria-label="Cuts">
              <h2 className="text-lg font-semibold">Cut</h2>
              <Strip
                errors={cuts}
                widest={0.03}
                told={(value) => measureText(measure('length', Math.abs(value)), units)}
              />
            </section>
          </div>
          <div
            className="mt-4 overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label="What is taken into the next job, to be scrolled sideways"
          >
            <table className="w-full min-w-[36rem] text-left text-sm">
              <caption className="pb-1 text-left text-lg font-semibold">
                What is taken into the next job
              </caption>
              <thead>
                <tr className="border-b border-ink">
                  {['Pin and fastening', 'Wraps', 'Cut', 'It rests on'].map((word) => (
                    <th key={word} className="py-1 pr-3 font-semibold">
                      {word}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {learned.map(({ kind, corrections }) => (
                  <tr key={`${kind.instrument} ${kind.head} ${kind.tail}`} className="border-b border-rule">
                    <td className="py-1.5 pr-3">
                      {kind.instrument[0]?.toUpperCase()}
                      {kind.instrument.slice(1)}: {kind.tail}, {kind.head}
                    </td>
                    <td className="pr-3 whitespace-nowrap">
                      {signed(corrections.wraps.by, corrections.wraps.by.toFixed(2))}
                    </td>
                    <td className="pr-3 whitespace-nowrap">
                      {signed(corrections.cut.by, length(Math.abs(corrections.cut.by)))}
                    </td>
                    <td>
                      {restsOn(
                        corrections.cut.from.workshop > 0 ? corrections.cut.from : corrections.wraps.from,
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {kinds > learned.length && (
            <p className="mt-1 text-sm text-soft">
              The {learned.length} that were fitted most, of {kinds}.
            </p>
          )}
          <div
            className="mt-4 overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label="Fittings, to be scrolled sideways"
          >
            <table className="w-full min-w-[36rem] text-left text-sm">
              <thead>
                <tr className="border-b border-ink">
                  {['When', 'String', 'Cut worked out', 'cut', 'Wraps worked out', 'counted'].map((word) => (
                    <th key={word} className="py-1 pr-3 font-semibold">
                      {word}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {fittings.map((f) => (
                  <tr key={f.jobId} className="border-b border-rule">
                    <td className="py-1.5 pr-3 whitespace-nowrap">{dateText(f.at, timeZone)}</td>
                    <td className="pr-3">
                      <Link
                        className="underline decoration-rule underline-offset-4 hover:decoration-ink"
                        href={pages.jobSheet(f.jobId, 'done')}
                      >
                        {f.string}
                      </Link>
                    </td>
                    <td className="pr-3">{length(f.predictedCut)}</td>
                    <td className="pr-3 font-semibold">{length(f.cut)}</td>
                    <td className="pr-3">{number(f.predictedWraps)}</td>
                    <td className="font-semibold">{number(f.wraps)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <Pager path={pages.fittings} filter={{}} at={at} />
        </>
      )}
    </div>
  )
}

const signed = (value: number, text: string) => `${value < 0 ? '−' : '+'}${text.replace(/^[-−]/, '')}`

const WIDTH = 400
const EDGE = 20

/** Errors along a line, dots of one place stacked, with none in the middle and the correction marked. */
function Strip({
  errors,
  widest,
  told,
}: {
  errors: readonly number[]
  widest: number
  told: (value: number) => string
}) {
  const x = (value: number) =>
    WIDTH / 2 + (Math.max(-widest, Math.min(widest, value)) / widest) * (WIDTH / 2 - EDGE)
  const stacked = new Map<number, number>()
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 96`}
      className="mt-1 w-full"
      role="img"
      aria-label={`${errors.length} fittings, each off by as much as its dot lies from the middle`}
      fontSize={12}
    >
      <path d={`M${EDGE},72H${WIDTH - EDGE}M${WIDTH / 2},8V78`} stroke="var(--line)" />
      {errors.map((error, i) => {
        const place = Math.round(x(error) / 9) * 9
        const level = stacked.get(place) ?? 0
        stacked.set(place, level + 1)
        return (
          <circle
            key={i}
            cx={x(error)}
            cy={66 - Math.min(7, level) * 8}
            r={3.6}
            fill="var(--verdigris)"
            opacity={0.75}
          />
        )
      })}
      <g fill="var(--soft)">
        <text x={EDGE} y={94}>
          −{told(widest)}
        </text>
        <text x={WIDTH / 2} y={94} textAnchor="middle">
          as worked out
        </text>
        <text x={WIDTH - EDGE} y={94} textAnchor="end">
          +{told(widest)}
        </text>
      </g>
    </svg>
  )
}
