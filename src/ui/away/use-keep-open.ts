'use client'

import { useEffect } from 'react'

/**
 * Keeps what is open on this device, so that it goes on while the house does not answer: also when the page is opened
 * anew, or put aside by a phone that wants its memory. What was kept before is forgotten.
 *
 * @param addresses - of the pages that belong together, the open one first, with a blank between
 * @param fetchAhead - fetches what the page fetches only when it is first wanted; a constant
 */
export function useKeepOpen(addresses: string, fetchAhead: () => Promise<unknown>): void {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    // Once the page stands still: by then it has fetched what it is drawn by.
    const timer = setTimeout(() => void keepOpen(addresses.split(' '), fetchAhead), RESTS)
    return () => clearTimeout(timer)
  }, [addresses, fetchAhead])
}

/** ms */
const RESTS = 1500

/** Forgets what was kept here: the job is over. */
export async function letGo(): Promise<void> {
  const registration = await navigator.serviceWorker?.getRegistration()
  registration?.active?.postMessage({ keep: [], drawnBy: [] })
}

async function keepOpen(keep: readonly string[], fetchAhead: () => Promise<unknown>): Promise<void> {
  try {
    await navigator.serviceWorker.register('/away.js')
    const { active } = await navigator.serviceWorker.ready
    // What is fetched only when it is first wanted can't be fetched while the house is away.
    await Promise.all([fetchAhead(), import('../shell/DoneMessage'), import('../shell/KeyDialog')])
    // A script stands in the page as soon as it is asked for; the list of what was fetched can lag behind it.
    const scripts = [...document.scripts].flatMap(({ src }) => (src ? [src] : []))
    const drawnBy = [...performance.getEntriesByType('resource').map(({ name }) => name), ...scripts]
      .map((address) => new URL(address))
      .filter(({ origin }) => origin === location.origin)
      .map(({ pathname, search }) => pathname + search)
    active?.postMessage({ keep, drawnBy })
  } catch {
    // A browser that trusts the house only for now keeps nothing of it; the page itself goes on as long as it is open.
  }
}
