import { useCallback, useEffect, useRef } from 'react'

/** @returns tells how long what uses it has been seen, ms */
export function useStopwatch(): () => number {
  const began = useRef<number | null>(null)
  useEffect(() => {
    began.current = performance.now()
  }, [])
  return useCallback(() => (began.current === null ? 0 : performance.now() - began.current), [])
}
