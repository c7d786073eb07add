'use client'

import { useEffect } from 'react'

/**
 * Keeps what is open on this device, so that it goes on while the house does not answer: also when the page is opened
 * anew, or put aside by a phone that wants its memory. What was kept before is forgotten.
 *
 * @param addresses - of the pages that belong together, the open one first, with a blank between
 */
export function useKeepOpen(addresses: string): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    // Once the page stands still: by then it has fetched what it is drawn by.
    const timer = setTimeout(() => void keepOpen(addresses.split(' ')), RESTS)
    return () => clearTimeout(timer)
  }, [addresses])
}

/** ms */
const RESTS = 1500

/** Forgets what was kept here: the job is over. */
export async function letGo(): Promise<void> {
  const registration = await navigator.serviceWorker?.getRegistration()
  registration?.active?.postMessage({ keep: [], drawnBy: [] })
}

async function keepOpen(keep: readonly string[]): Promise<void> {
  try {
    await navigator.serviceWorker.register('/offline.js')
    const { active } = await navigator.serviceWorker.ready
    const drawnBy = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin }) => origin === location.origin)
      .map(({ pathname, search }) => pathname + search)
    active?.postMessage({ keep, drawnBy })
  } catch {
    // A browser that trusts the house only for now keeps nothing of it; the page itself goes on as long as it is open.
  }
}
