'use client'

import { useCallback } from 'react'
import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import { useHouse } from './units'

/** The names of a string with the one first that the house, or the instrument, leads with. */
export function useLeadingNames(): (position: StringPosition) => ReturnType<typeof leadingNames> {
  const { octaveNames } = useHouse()
  return useCallback((position: StringPosition) => leadingNames(position, octaveNames), [octaveNames])
}
