'use client'

import { FilterSelect, InstrumentOptions } from '@/ui/list/FilterSelect'
import { useFilter } from '@/ui/list/use-filter'

interface LabelsFilterProps {
  readonly look: string
  readonly positions: string
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
}

/** Whether packets are labelled, and which, or the positions of an instrument. */
export function LabelsFilter({ look, positions, instruments }: LabelsFilterProps) {
  const { asked, ask, type } = useFilter({ look, positions })
  return (
    <div className="flex flex-wrap items-end gap-3 text-sm">
      <FilterSelect
        label="Labels for"
        width="w-56"
        value={asked.positions}
        choose={(slug) => ask({ positions: slug, look: '' })}
      >
        <option value="">packets, the newest first</option>
        <InstrumentOptions instruments={instruments} told={(name) => `the strings of ${name}`} />
      </FilterSelect>
      {asked.positions === '' && (
        <label className="flex flex-col gap-1">
          Look for
          <input
            className="entry w-44"
            value={asked.look}
            onChange={(event) => type({ look: event.target.value })}
            placeholder="gut 1.24, drawer A3"
          />
        </label>
      )}
    </div>
  )
}
