'use client'

import { useHotkeys } from 'react-hotkeys-hook'

/** Makes a page-turner's forward pedal press the one thing to do on a sheet: the first button or link marked `data-go-on`. */
export function usePageTurner(): void {
  useHotkeys(
    'pagedown',
    (event) => {
      const main = document.querySelector<HTMLElement>('[data-go-on]')
      if (!main) return
      event.preventDefault()
      main.click()
    },
    { enableOnFormTags: true },
  )
}
