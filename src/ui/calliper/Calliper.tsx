'use client'

import { lazy, Suspense, useEffect, useRef, useState, type ReactNode } from 'react'
import { isTextField, type TextField } from './text-field'

const CalliperPanel = lazy(() =>
  import('./CalliperPanel').then((module) => ({ default: module.CalliperPanel })),
)

/** A calliper that stands in for one with a data cable: set its jaws, send the reading, and it types it where the cursor was. */
export function Calliper({ icon }: { readonly icon: ReactNode }) {
  const [open, setOpen] = useState(false)
  const [mm, setMm] = useState(0.86)
  const field = useRef<TextField | null>(null)

  useEffect(() => {
    const follow = ({ target }: FocusEvent) => {
      if (isTextField(target) && !target.closest('[data-calliper]')) field.current = target
    }
    document.addEventListener('focusin', follow)
    return () => document.removeEventListener('focusin', follow)
  }, [])

  return (
    <>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="inline-flex min-h-11 items-center gap-2 px-2 text-sm text-soft hover:text-ink"
      >
        {icon} <span className="md:max-xl:sr-only">Calliper</span>
      </button>
      <Suspense>
        {open && <CalliperPanel mm={mm} setMm={setMm} field={field} putAway={() => setOpen(false)} />}
      </Suspense>
    </>
  )
}
