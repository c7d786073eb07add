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
 * @param where - a device remembers it for the next time, a window only until it is closed
 */
export function useStoredState<T>(
  key: string,
  empty: T,
  where: 'window' | 'device' = 'window',
): readonly [T, (next: T | ((had: T) => T)) => void] {
  const kept = useSyncExternalStore(
    subscribe,
    () => storage(where).getItem(key),
    () => null,
  )
  const value = useMemo(() => read(kept, empty), [kept, empty])
  const setValue = useCallback(
    (next: T | ((had: T) => T)) => {
      const to = next instanceof Function ? next(read(storage(where).getItem(key), empty)) : next
      if (to === empty) storage(where).removeItem(key)
      else storage(where).setItem(key, JSON.stringify(to))
      listeners.forEach((listener) => listener())
    },
    [key, empty, where],
  )
  return [value, setValue]
}

/** Keeps a value in this window for a page that is opened next. */
export function keepForNext<T>(key: string, value: T): void {
  window.sessionStorage.setItem(key, JSON.stringify(value))
}

const storage = (where: 'window' | 'device') =>
  where === 'window' ? window.sessionStorage : window.localStorage

function read<T>(kept: string | null, empty: T): T {
  return kept === null ? empty : (JSON.parse(kept) as T)
}
