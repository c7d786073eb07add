'use client'

import { endpoints } from '@/boundary/endpoints'
import { measure } from '@/core/measure'
import { wayWord, type CoveredPlan, type CoveredWay } from '@/core/fitting/covered'
import type { StringPosition } from '@/core/instrument/instrument'
import { Figure } from '@/ui/figure/Figure'
import { useAct } from '@/ui/shell/use-act'

interface CoveredSheetProps {
  readonly jobId: number
  readonly position: StringPosition
  readonly plans: readonly CoveredPlan[]
  readonly chosen: CoveredWay
}

const numbers = (positions: readonly StringPosition[]) => positions.map((p) => p.number).join(', ')

/** The ways to get at a string that others lie over, each with its minutes and retunes; choosing one takes its strings into the job. */
export function CoveredSheet({ jobId, position, plans, chosen }: CoveredSheetProps) {
  const { act, refused } = useAct()
  const least = Math.min(...plans.map((plan) => plan.total))
  return (
    <section aria-label="How it is reached" className="mt-4 border-t border-ink pt-3">
      <h2 className="text-xl font-semibold">Other strings lie over it</h2>
      <p className="max-w-prose text-sm text-soft">
        Minutes at the bench now, and retunes over the two weeks after, a minute and a half each. Estimates;
        the tolerance is the house’s.
      </p>
      <div className="mt-3 grid gap-3 md:grid-cols-3">
        {plans.map((plan) => (
          <div
            key={plan.way}
            className={`flex flex-col border p-3 ${plan.way === chosen ? 'border-verdigris bg-verdigris-wash' : 'border-rule'}`}
          >
            <h3 className="text-lg font-semibold">{wayWord(plan.way, position)}</h3>
            <div className="mt-1 flex flex-wrap gap-x-6">
              <Figure label="Minutes now" measure={measure('number', Math.round(plan.minutes))} />
              <Figure label="Retunes" measure={measure('number', plan.retunes)} />
              <Figure
                label="Minutes in all"
                measure={measure('number', Math.round(plan.total))}
                {...(plan.total === least ? { note: 'the least' } : {})}
              />
            </div>
            <p className="mt-2 flex-1 text-sm">
              New: {numbers(plan.renewed)}.{plan.moved.length > 0 && ` Off and back: ${numbers(plan.moved)}.`}
              {plan.shifted.length > 0 && ` Pressed otherwise, tuned again: ${numbers(plan.shifted)}.`}
            </p>
            {plan.way === chosen ? (
              <p className="mt-2 font-semibold text-verdigris">This way</p>
            ) : (
              <button
                type="button"
                className="button mt-2"
                onClick={() =>
                  act(endpoints.chooseCovered(jobId), { way: plan.way }, `${wayWord(plan.way, position)}.`)
                }
              >
                Do it this way
              </button>
            )}
          </div>
        ))}
      </div>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}
