'use client'

import { useCallback, useMemo, useSyncExternalStore } from 'react'

const listeners = new Set<() => void>()

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/**
 * State that outlives its page: what was typed is there again when one comes back to it in the same window.
 *
 * @param key - one for each thing that is typed
 * @param empty - what it is before anything was typed, and again when it is set to that; a constant
 */
export function useKept<T>(key: string, empty: T): readonly [T, (next: T | ((had: T) => T)) => void] {
  const kept = useSyncExternalStore(
    subscribe,
    () => window.sessionStorage.getItem(key),
    () => null,
  )
  const value = useMemo(() => read(kept, empty), [kept, empty])
  const setValue = useCallback(
    (next: T | ((had: T) => T)) => {
      const to = next instanceof Function ? next(read(window.sessionStorage.getItem(key), empty)) : next
      if (to === empty) window.sessionStorage.removeItem(key)
      else window.sessionStorage.setItem(key, JSON.stringify(to))
      listeners.forEach((listener) => listener())
    },
    [key, empty],
  )
  return [value, setValue]
}

function read<T>(kept: string | null, empty: T): T {
  return kept === null ? empty : (JSON.parse(kept) as T)
}
