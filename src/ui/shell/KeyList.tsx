'use client'

import dynamic from 'next/dynamic'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'

/** Fetched when it is asked for: few ever do, and every page would carry it. */
const KeyDialog = dynamic(() => import('./KeyDialog').then((module) => module.KeyDialog), { ssr: false })

/** The list of keys, opened with a question mark. */
export function KeyList() {
  const [open, setOpen] = useState(false)
  useHotkeys('shift+slash, ?', () => setOpen(true), { useKey: true })
  return open && <KeyDialog close={() => setOpen(false)} />
}
