'use client'

import { useEffect, useState } from 'react'

const NAMES = [
  'ink',
  'soft',
  'rule',
  'line',
  'verdigris',
  'verdigris-wash',
  'ochre',
  'paper',
  'wood',
  'gut-light',
  'nylon-light',
  'fluorocarbon-light',
  'wire-light',
  'wound-light',
] as const
export type Tints = Record<(typeof NAMES)[number], string>

/** The sheet's own colours, read again when the light changes: a canvas knows no CSS variables. Null before the first paint. */
export function useTints(): Tints | null {
  const [tints, setTints] = useState<Tints | null>(null)
  useEffect(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement)
      setTints(
        Object.fromEntries(NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as Tints,
      )
    }
    read()
    const watcher = new MutationObserver(read)
    watcher.observe(document.documentElement, { attributeFilter: ['data-light'] })
    return () => watcher.disconnect()
  }, [])
  return tints
}
