'use client'

import { itemAt } from '@/core/list/item-at'
import { moneyText } from '@/core/stores/money'
import { fineChanceText } from '@/ui/format/chance'
import type { Change } from '@/core/wear/change-before'
import { statedHolds } from '@/core/wear/on-since'

interface StepsBoughtProps {
  /** Each with one string more than the one before it. */
  readonly steps: readonly Change[]
  readonly ticked: ReadonlySet<number>
  /** Strings of which nobody knows since when they are on. */
  readonly unknown: readonly number[]
  readonly sureChance: number
  readonly currency: string
  readonly nameOf: (number: number) => string
  readonly onTake: (change: Change) => void
}

/** Further than this nobody looks. */
const SHOWN = 13

/** What each string more buys: a bar for the chance that nothing breaks, and what it costs. */
export function StepsBought({
  steps,
  ticked,
  unknown,
  sureChance,
  currency,
  nameOf,
  onTake,
}: StepsBoughtProps) {
  const shown = steps.slice(0, SHOWN).map((step) => ({
    ...step,
    holds: statedHolds(step.holds, unknown.filter((number) => !step.ids.includes(number)).length),
  }))
  const least = Math.min(0.9, ...shown.map(({ holds }) => holds)) - 0.02
  const width = (holds: number) => `${(100 * (holds - least)) / (1 - least)}%`
  return (
    <section aria-labelledby="bought" className="print:hidden">
      <h2 id="bought" className="text-xl font-semibold">
        What one more buys
      </h2>
      <ol className="mt-1">
        {shown.map((step, i) => {
          const before = shown[i - 1]
          const added = before ? step.ids.filter((id) => !before.ids.includes(id)) : []
          const isTaken = step.ids.length === ticked.size && step.ids.every((id) => ticked.has(id))
          return (
            <li key={step.ids.length}>
              <button
                type="button"
                aria-pressed={isTaken}
                onClick={() => onTake(step)}
                className="block w-full border-b border-rule px-2 py-1.5 text-left hover:bg-verdigris-wash aria-pressed:bg-verdigris-wash"
              >
                <span className="flex justify-between gap-3 text-sm">
                  <span className="first-letter:uppercase">
                    {i === 0
                      ? 'nothing changed'
                      : added.length === 1
                        ? `${nameOf(itemAt(added, 0))}, too`
                        : `${step.ids.length} others`}
                  </span>
                  <span className="whitespace-nowrap text-soft">{moneyText(step.cost, currency)}</span>
                </span>
                <span className="mt-1 flex items-center gap-2">
                  <span aria-hidden className="relative block h-3 flex-1 border border-line bg-paper">
                    <span
                      className="absolute inset-y-0 left-0 bg-verdigris"
                      style={{ width: width(step.holds) }}
                    />
                    <span
                      className="absolute -inset-y-1 w-0.5 bg-ochre"
                      style={{ left: width(sureChance) }}
                    />
                  </span>
                  <span className="w-16 text-right font-semibold">{fineChanceText(step.holds)}</span>
                </span>
              </button>
            </li>
          )
        })}
      </ol>
      <p className="mt-1 text-sm text-soft">
        The ochre mark is what the house wants. No other choice of as many strings at that cost holds better.
      </p>
    </section>
  )
}
