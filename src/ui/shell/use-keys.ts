'use client'

import { useLayoutEffect, useRef } from 'react'
import { tinykeys } from 'tinykeys'

/**
 * Keys that do something while a page stands, in place of what the browser would do.
 *
 * @param keys - by the key as an event names it, with its modifiers before it: `ArrowLeft`, `Shift+?`
 * @param isTaken - where a key belongs to what it is pressed in; by default in a field, where it types
 */
export function useKeys(
  keys: Readonly<Record<string, () => void>>,
  isTaken: (target: Element) => boolean = inField,
): void {
  // It listens before the page is seen and stays between two drawings of it, so that no key is lost.
  const now = useRef({ keys, isTaken })
  useLayoutEffect(() => {
    now.current = { keys, isTaken }
  })
  const names = Object.keys(keys).join(' ')
  useLayoutEffect(() => {
    const pressed = (name: string) => (event: KeyboardEvent) => {
      if (event.target instanceof Element && now.current.isTaken(event.target)) return
      event.preventDefault()
      now.current.keys[name]?.()
    }
    return tinykeys(window, Object.fromEntries(names.split(' ').map((name) => [name, pressed(name)])))
  }, [names])
}

/** Whether a key pressed there types, or chooses. */
export function inField(target: Element): boolean {
  return target.closest('input, textarea, select, [contenteditable], [role="dialog"]') !== null
}
