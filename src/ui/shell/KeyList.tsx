'use client'

import dynamic from 'next/dynamic'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { FIND_FIELD } from '../find/find-field'

/** Fetched when it is asked for: few ever do, and every page would carry it. */
const KeyDialog = dynamic(() => import('./KeyDialog').then((module) => module.KeyDialog), { ssr: false })

/** The keys that do something on every page: a stroke takes one to the find box, a question mark lists them all. */
export function KeyList() {
  const [open, setOpen] = useState(false)
  useHotkeys(
    '/',
    (event) => {
      event.preventDefault()
      document.getElementById(FIND_FIELD)?.focus()
    },
    { useKey: true },
  )
  useHotkeys('shift+slash, ?', () => setOpen(true), { useKey: true })
  return open && <KeyDialog close={() => setOpen(false)} />
}
