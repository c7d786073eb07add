'use client'

import { Check } from 'lucide-react'
import { useRef, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import type { Asked } from '@/core/fitting/step'
import { lengthFigure } from '@/core/units/length'
import { gaugeFigure, withUnit } from '@/ui/format/gauge-typed'
import { Labelled } from '@/ui/form/Labelled'
import { sendOrQueue } from '@/ui/offline/outbox'
import { useWorkshop } from '@/ui/units'
import { measuredProblem, readMeasured } from '@/boundary/measured'

const ASKS: Record<Asked, { readonly label: string; readonly hint: string }> = {
  turns: { label: 'Turns of the pin given', hint: 'While letting it down. Half turns will do.' },
  gauge: { label: 'Gauge as measured', hint: 'Typed, or sent by the calliper.' },
  cut: { label: 'Length as cut', hint: 'What really came off the coil.' },
  wraps: { label: 'Wraps as counted', hint: 'At pitch. Quarters will do.' },
  cents: { label: 'Cents when you leave it', hint: 'Flat is negative. Settling is counted from there.' },
  cycles: { label: 'Cycles given', hint: 'Bring it back to pitch after each one.' },
}

interface MeasureEntryProps {
  readonly jobId: number
  readonly what: Asked
  readonly value: number | undefined
  /** Told with whether the house has it by now. */
  readonly onKept: (value: number | null, isThere: boolean) => void
}

/** What is measured in a step: kept at once, and put into the log of the fitting. */
export function MeasureEntry({ jobId, what, value, onKept }: MeasureEntryProps) {
  const { unit, gaugeUnit } = useWorkshop()
  const shown =
    value === undefined
      ? ''
      : what === 'gauge'
        ? gaugeFigure(value, gaugeUnit)
        : what === 'cut'
          ? lengthFigure(value, { unit, digits: unit === 'mm' ? 0 : 2 })
          : String(value)
  const entry = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [kept, setKept] = useState(value !== undefined)
  /** As this page had it last; told, so that what another measured meanwhile is not written over. */
  const seen = useRef(value ?? null)
  const { label, hint } = ASKS[what]
  const keep = async () => {
    // From the field itself: a calliper types and presses Enter in one go.
    const text = entry.current?.value ?? ''
    const sent = what === 'gauge' ? withUnit(text, gaugeUnit) : text
    const wrong = measuredProblem(what, sent, unit)
    setProblem(wrong)
    if (wrong !== null || text === shown) return
    const read = readMeasured(what, sent, unit)
    const answer = await sendOrQueue(
      endpoints.keepMeasure(jobId),
      { what, text: sent, unit, seen: seen.current },
      `${label}: ${sent === '' ? 'taken back' : sent}`,
    )
    if (answer !== 'waits' && !answer.ok) return setProblem(answer.sentence)
    seen.current = read
    setKept(read !== null)
    onKept(read, answer !== 'waits')
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
      noValidate
      className="w-44"
    >
      <Labelled
        label={what === 'gauge' ? `${label}, ${gaugeUnit}` : what === 'cut' ? `${label}, ${unit}` : label}
        hint={hint}
        problem={problem ?? undefined}
      >
        {(wiring) => (
          <span className="relative block">
            <input
              className="entry mt-1 min-h-12 pr-10 text-2xl"
              inputMode="decimal"
              autoComplete="off"
              {...wiring}
              ref={entry}
              defaultValue={shown}
              onChange={() => setKept(false)}
              onBlur={() => void keep()}
            />
            {kept && <Check className="absolute top-4 right-3 text-verdigris" size={20} aria-label="kept" />}
          </span>
        )}
      </Labelled>
    </form>
  )
}
