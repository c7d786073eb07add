'use client'

import type { Compared, Effect } from '@/core/practice/effect'
import { measure } from '@/core/measure'
import { PlainTable } from '@/ui/list/PlainTable'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

const HEADS = ['', 'After practice', 'Without', 'What that says'].map((word) => ({ word }))

/** Real fittings after practice and without it, side by side, with honest odds. */
export function WhatItDid({ effect }: { effect: Effect }) {
  const { units } = useWorkshop()
  const { mishaps, differs, cut, wraps } = effect
  const rows: readonly (readonly [string, Compared, (value: number) => string])[] = [
    ['Cut off by', cut, (value) => measureText(measure('length', value), units)],
    ['Wraps off by', wraps, (value) => value.toFixed(2)],
  ]
  return (
    <section className="sheet p-5" aria-labelledby="did">
      <h2 id="did" className="text-xl font-semibold">
        Your real fittings
      </h2>
      <p className="max-w-3xl text-soft">
        Those within six weeks after practice of knots, slack or faults, beside all others.
      </p>
      <PlainTable label="Real fittings" heads={HEADS}>
        <tr className="border-t border-rule">
          <th scope="row" className="py-2 pr-3 font-semibold">
            With a mishap
          </th>
          <td className="py-2 pr-3">
            {mishaps.practised.happened} of {mishaps.practised.of}
          </td>
          <td className="py-2 pr-3">
            {mishaps.not.happened} of {mishaps.not.of}
          </td>
          <td className="py-2">
            {mishaps.practised.of === 0 || mishaps.not.of === 0
              ? 'nothing yet'
              : `practice and mishaps go together with a chance of ${Math.round(100 * differs.chance)} %`}
          </td>
        </tr>
        {rows.map(([word, { practised, not, less }, shown]) => (
          <tr key={word} className="border-t border-rule">
            <th scope="row" className="py-2 pr-3 font-semibold">
              {word}
            </th>
            <td className="py-2 pr-3">
              {practised.of === 0 ? '—' : `${shown(practised.mean)} (${practised.of})`}
            </td>
            <td className="py-2 pr-3">{not.of === 0 ? '—' : `${shown(not.mean)} (${not.of})`}</td>
            <td className="py-2">
              {less === 0.5 ? 'too few to say' : `truly less after practice with ${Math.round(100 * less)} %`}
            </td>
          </tr>
        ))}
      </PlainTable>
      <p className="mt-2 max-w-3xl text-sm text-soft">
        Whoever practises may be more careful anyway: this says what goes together, not what made what.
      </p>
    </section>
  )
}
