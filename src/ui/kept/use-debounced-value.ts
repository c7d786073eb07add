'use client'

import { useEffect, useState } from 'react'

/**
 * A value as it was when it last rested: while keys are pressed one after the other, what is costly to draw waits.
 *
 * @param value - may change with every key
 * @param rests - ms without a change
 */
export function useDebouncedValue<T>(value: T, rests: number): T {
  const [rested, setRested] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(() => value), rests)
    return () => clearTimeout(timer)
  }, [value, rests])
  return rested
}
