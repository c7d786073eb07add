'use client'

import { FilterSelect, InstrumentOptions } from '@/ui/list/FilterSelect'
import { useFilter } from '@/ui/list/use-filter'

export interface HistoryFilterText {
  readonly on: string
  readonly kind: string
  readonly day: string
  readonly steps: string
}

interface HistoryFilterProps {
  readonly filter: HistoryFilterText
  readonly kinds: readonly string[]
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
}

/** What the history is narrowed to. */
export function HistoryFilter({ filter, kinds, instruments }: HistoryFilterProps) {
  const { asked, ask } = useFilter({ ...filter })
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 text-sm">
      <FilterSelect label="Instrument" width="w-44" value={asked.on} choose={(on) => ask({ on })}>
        <option value="">all</option>
        <InstrumentOptions instruments={instruments} />
      </FilterSelect>
      <FilterSelect label="What was done" width="w-52" value={asked.kind} choose={(kind) => ask({ kind })}>
        <option value="">everything</option>
        {kinds.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </FilterSelect>
      <label className="flex flex-col gap-1">
        Up to the day
        <input
          type="date"
          className="entry w-44"
          value={asked.day}
          onChange={(event) => ask({ day: event.target.value })}
        />
      </label>
      {asked.kind === '' && (
        <label className="inline-flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-verdigris"
            checked={asked.steps === 'shown'}
            onChange={(event) => ask({ steps: event.target.checked ? 'shown' : '' })}
          />{' '}
          with the steps of jobs
        </label>
      )}
    </div>
  )
}
