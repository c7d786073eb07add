'use client'

import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { tailFacts, type TailFastening } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { parseLength } from '@/core/units/length'
import { gaugeFigure } from '@/ui/format/gauge-typed'
import { Figure } from '@/ui/figure/Figure'
import { Entry } from '@/ui/form/Entry'
import { measureText } from '@/ui/format/measure'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import type { StringToTie } from './string-to-tie'

interface KnotFactsProps {
  readonly fastening: TailFastening
  /** What the house has measured, in gauges; null where it has not. */
  readonly own: number | null
  readonly string: StringToTie | null
}

/** A string to tell figures by where none is fitted, m. */
const FOR_EXAMPLE = 1e-3

/** What a knot takes and how wide it is; and a place to correct it by one of one's own. */
export function KnotFacts({ fastening, own, string }: KnotFactsProps) {
  const { unit, gaugeUnit, units } = useWorkshop()
  const { act, refused, refuse } = useAct()
  const [gauge, setGauge] = useState(gaugeFigure(string?.gauge ?? FOR_EXAMPLE, gaugeUnit))
  const [used, setUsed] = useState('')
  const facts = tailFacts(fastening)
  if (facts.gauges === 0)
    return (
      <p className="mt-6 border-t border-ink pt-3 text-sm text-soft print:hidden">
        It takes nothing beyond the string’s own way: a ready-made loop comes with the string, and the way
        round posts is in the cut.
      </p>
    )
  const d = string?.gauge ?? FOR_EXAMPLE
  const takes = own ?? facts.gauges
  const keep = () => {
    try {
      const [thick, long] = [parseLength(gauge, gaugeUnit), parseLength(used, unit)]
      void act(endpoints.measureKnot, { fastening, gauges: long / thick }, `${fastening}: kept as measured.`)
    } catch (error) {
      refuse({
        sentence: error instanceof RangeError ? error.message : 'Expected two lengths.',
        field: 'used',
      })
    }
  }
  return (
    <section
      aria-label="What it takes"
      className="mt-6 grid gap-x-8 gap-y-4 border-t border-ink pt-3 md:grid-cols-2 print:hidden"
    >
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        <Figure
          label={`Knot, on a gauge of ${measureText(measure('gauge', d), units)}`}
          measure={measure('length', takes * d)}
          note={`${takes.toFixed(1)} times its gauge${own === null ? '' : `, as you measured; worked out: ${facts.gauges.toFixed(1)}`}; and a tag of ${measureText(measure('length', facts.tag), unit)}`}
        />
        {facts.widthInGauges !== null && (
          <Figure
            label="Width drawn down"
            measure={measure('width', facts.widthInGauges * d)}
            note={`${facts.widthInGauges.toFixed(1)} times its gauge, where it is narrowest`}
          />
        )}
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          keep()
        }}
      >
        <p className="text-sm text-soft">
          Tie one yourself, untie it, and measure from the board to where the tag began. Every cut with this
          knot then goes by yours.
        </p>
        <div className="mt-2 flex flex-wrap items-start gap-3">
          <div className="w-28">
            <Entry
              label="Gauge"
              value={gauge}
              onChange={(event) => setGauge(event.target.value)}
              inputMode="decimal"
            />
          </div>
          <div className="w-36">
            <Entry
              label="String used"
              value={used}
              onChange={(event) => setUsed(event.target.value)}
              inputMode="decimal"
              required
            />
          </div>
          <button type="submit" className="button mt-7">
            Keep it
          </button>
          {own !== null && (
            <button
              type="button"
              className="button mt-7"
              onClick={() =>
                act(endpoints.measureKnot, { fastening, gauges: null }, `${fastening}: as worked out again.`)
              }
            >
              Back to what is worked out
            </button>
          )}
        </div>
        {refused && (
          <p role="alert" className="mt-2 font-semibold text-ochre">
            {refused.sentence}
          </p>
        )}
      </form>
    </section>
  )
}
