'use client'

import { useSyncExternalStore } from 'react'

const never = () => () => {}

/** Whether this browser can do something; false while the page is still the server's. */
export function useBrowserHas(can: () => boolean): boolean {
  return useSyncExternalStore(never, can, () => false)
}
