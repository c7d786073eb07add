'use client'

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
      <label className="flex flex-col gap-1">
        Instrument
        <select className="entry w-44" value={asked.on} onChange={(event) => ask({ on: event.target.value })}>
          <option value="">all</option>
          {instruments.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1">
        What was done
        <select
          className="entry w-52"
          value={asked.kind}
          onChange={(event) => ask({ kind: event.target.value })}
        >
          <option value="">everything</option>
          {kinds.map((kind) => (
            <option key={kind}>{kind}</option>
          ))}
        </select>
      </label>
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
