'use client'

import { useRouter } from 'next/navigation'
import type { FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { withUnit } from '@/ui/format/gauge-typed'
import { Entry } from '@/ui/form/Entry'
import { textIn } from '@/ui/form/text-in'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

interface InHandProps {
  readonly jobId: number
  /** Nothing in the stores will do: this is the first thing to do here. */
  readonly first: boolean
  /** Whether others are in the stores. */
  readonly isStored: boolean
}

/** A string that was never booked in: one press, and on to its figures. */
export function InHand({ jobId, first, isStored }: InHandProps) {
  const { unit, gaugeUnit } = useWorkshop()
  const router = useRouter()
  const { act, refused } = useAct()
  const problemAt = (field: string) => (refused?.field === field ? refused.sentence : undefined)
  const take = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    const [gauge, length] = [textIn(form, 'gauge'), textIn(form, 'length')]
    const taken = await act(
      endpoints.takeInHand(jobId),
      {
        unit,
        ...(gauge === '' ? {} : { gauge: withUnit(gauge, gaugeUnit) }),
        ...(length === '' ? {} : { length }),
      },
      'The string in the hand is taken for this job.',
    )
    if (taken) router.push(pages.jobSheet(jobId, 'figures'))
  }
  return (
    <form
      onSubmit={take}
      noValidate
      className="mt-4 border-t border-ink pt-3"
      aria-label="A string in the hand"
    >
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p className="max-w-prose">
          {isStored ? 'You hold a string that is not in the stores?' : 'You hold the string?'} It is taken as
          charted, unless you measure it.
        </p>
        <button type="submit" className={`button ${first ? 'button-main' : ''}`}>
          It is in my hand
        </button>
      </div>
      <details className="mt-1" open={refused !== null || undefined}>
        <summary className="min-h-8 text-sm">Measured with a calliper, or its length known</summary>
        <div className="mt-2 grid max-w-md grid-cols-2 gap-3">
          <Entry
            label={`Gauge, ${gaugeUnit}`}
            name="gauge"
            inputMode="decimal"
            problem={problemAt('gauge')}
          />
          <Entry
            label={`Length, ${unit}`}
            name="length"
            inputMode="decimal"
            hint="Then what is left is booked in."
            problem={problemAt('length')}
          />
        </div>
      </details>
      {refused && refused.field !== 'gauge' && refused.field !== 'length' && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </form>
  )
}
