'use client'

import { useCallback } from 'react'
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { useWorkshop } from './units'

/** The names of a string with the one first that the house, or the instrument, leads with. */
export function useLeadingNames(): (position: StringPosition) => ReturnType<typeof leadingNames> {
  const { octaveNames } = useWorkshop()
  return useCallback((position: StringPosition) => leadingNames(position, octaveNames), [octaveNames])
}
