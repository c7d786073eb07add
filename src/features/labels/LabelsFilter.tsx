'use client'

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
      <label className="flex flex-col gap-1">
        Labels for
        <select
          className="entry w-56"
          value={asked.positions}
          onChange={(event) => ask({ positions: event.target.value, look: '' })}
        >
          <option value="">packets, the newest first</option>
          {instruments.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              the strings of {name}
            </option>
          ))}
        </select>
      </label>
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
