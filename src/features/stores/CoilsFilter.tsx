'use client'

import { FilterSelect } from '@/ui/list/FilterSelect'
import { useFilter } from '@/ui/list/use-filter'

export interface StoresFilter {
  readonly look: string
  readonly material: string
  readonly opened: string
  readonly by: string
  readonly down: string
}

/** What the coils are narrowed to. */
export function CoilsFilter({
  filter,
  materials,
}: {
  readonly filter: StoresFilter
  readonly materials: readonly string[]
}) {
  const { asked, ask, type } = useFilter({ ...filter })
  return (
    <div className="flex flex-wrap items-end gap-2 text-sm">
      <label className="flex flex-col gap-1">
        Look for
        <input
          className="entry w-44"
          value={asked.look}
          onChange={(event) => type({ look: event.target.value })}
          placeholder="gut 1.24, drawer A3"
        />
      </label>
      <FilterSelect
        label="Material"
        width="w-52"
        value={asked.material}
        choose={(material) => ask({ material })}
      >
        <option value="">all</option>
        {materials.map((material) => (
          <option key={material}>{material}</option>
        ))}
      </FilterSelect>
      <label className="inline-flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-verdigris"
          checked={asked.opened !== ''}
          onChange={(event) => ask({ opened: event.target.checked ? 'yes' : '' })}
        />{' '}
        remainders only
      </label>
    </div>
  )
}
