'use client'

import type { Family } from '@/core/instrument/family'
import { FilterSelect } from '@/ui/list/FilterSelect'
import { useFilter } from '@/ui/list/use-filter'

export interface ShelfFilterText {
  readonly find: string
  readonly family: string
  readonly needs: string
}

/** What the shelf is narrowed to. */
export function ShelfFilter({
  filter,
  families,
}: {
  readonly filter: ShelfFilterText
  readonly families: readonly Family[]
}) {
  const { asked, ask, type } = useFilter({ ...filter })
  return (
    <div className="mt-4 grid grid-cols-2 items-end gap-3 text-sm sm:flex sm:flex-wrap">
      <label className="col-span-2 flex flex-col gap-1">
        Name or owner
        <input
          className="entry w-full sm:w-56"
          value={asked.find}
          onChange={(event) => type({ find: event.target.value })}
          placeholder="Lovage, youth harps"
        />
      </label>
      <FilterSelect
        label="Family"
        width="w-full sm:w-44"
        value={asked.family}
        choose={(family) => ask({ family })}
      >
        <option value="">all</option>
        {families.map((family) => (
          <option key={family}>{family}</option>
        ))}
      </FilterSelect>
      <FilterSelect
        label="Needs a hand"
        width="w-full sm:w-52"
        value={asked.needs}
        choose={(needs) => ask({ needs })}
      >
        <option value="">or not</option>
        <option value="broken">a string is broken</option>
        <option value="retune">a string is to be retuned</option>
        <option value="retired">no longer on the shelf</option>
      </FilterSelect>
    </div>
  )
}
