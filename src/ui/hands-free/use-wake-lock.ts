'use client'

import { useEffect } from 'react'

/** Keeps the screen awake while the page is in sight, where the browser can; silently not, where it can't. */
export function useWakeLock(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let held: WakeLockSentinel | null = null
    let over = false
    const hold = async () => {
      if (document.visibilityState !== 'visible' || (held && !held.released)) return
      try {
        held = await navigator.wakeLock.request('screen')
        if (over) await held.release()
      } catch {
        held = null // the battery is low, or the browser will not: the work goes on without it
      }
    }
    const again = () => void hold()
    again()
    document.addEventListener('visibilitychange', again)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', again)
      void held?.release()
    }
  }, [])
}
