'use client'

import { useCallback, useEffect } from 'react'
import { useBrowserHas } from './use-browser-has'

/** Reads a text aloud in the browser's own voice; `can` is false where there is none. What was being said stops when the page goes. */
export function useReadAloud() {
  const can = useBrowserHas(
    () => 'speechSynthesis' in window && typeof SpeechSynthesisUtterance !== 'undefined',
  )
  const stop = useCallback(() => {
    if ('speechSynthesis' in window) window.speechSynthesis.cancel()
  }, [])
  const say = useCallback((text: string) => {
    if (!('speechSynthesis' in window)) return
    window.speechSynthesis.cancel()
    const spoken = new SpeechSynthesisUtterance(text)
    spoken.lang = 'en-GB'
    spoken.rate = 0.95
    window.speechSynthesis.speak(spoken)
  }, [])
  useEffect(() => stop, [stop])
  return { can, say, stop }
}
