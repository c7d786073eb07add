'use client'

import { lazy, Suspense, useState } from 'react'
import { FIND_FIELD } from '../find/find-field'
import { useKeys } from './use-keys'

/** Fetched when it is asked for: few ever do, and every page would carry it. */
const KeyDialog = lazy(() => import('./KeyDialog').then((module) => ({ default: module.KeyDialog })))

/** The keys that do something on every page: a stroke takes one to the find box, a question mark lists them all. */
export function KeyList() {
  const [open, setOpen] = useState(false)
  const toFind = () => document.getElementById(FIND_FIELD)?.focus()
  const toList = () => setOpen(true)
  // A stroke takes Shift on some keyboards, and so does the question mark on most.
  useKeys({ '/': toFind, 'Shift+/': toFind, '?': toList, 'Shift+?': toList })
  return <Suspense>{open && <KeyDialog close={() => setOpen(false)} />}</Suspense>
}
