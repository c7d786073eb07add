'use client'

import { useKeys } from './use-keys'

/** Makes a page-turner's forward pedal press the one thing to do on a sheet: the first button or link marked `data-go-on`. */
export function usePageTurner(): void {
  useKeys(
    { PageDown: () => document.querySelector<HTMLElement>(GO_ON)?.click() },
    // It is pressed by foot, whatever the hand is in; where there is nothing to press, it turns the page.
    () => document.querySelector(GO_ON) === null,
  )
}

const GO_ON = '[data-go-on]'
