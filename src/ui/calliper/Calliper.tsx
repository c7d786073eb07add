'use client'

import { Ruler } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useEffect, useRef, useState } from 'react'
import { isTextField, type TextField } from './type-into'

const CalliperPanel = dynamic(() => import('./CalliperPanel').then((module) => module.CalliperPanel))

/** A calliper that stands in for one with a data cable: set its jaws, send the reading, and it types it where the cursor was. */
export function Calliper() {
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
        <Ruler size={18} aria-hidden /> <span className="md:max-xl:sr-only">Calliper</span>
      </button>
      {open && <CalliperPanel mm={mm} setMm={setMm} field={field} putAway={() => setOpen(false)} />}
    </>
  )
}
