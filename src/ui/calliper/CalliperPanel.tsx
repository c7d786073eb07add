'use client'

import { X } from 'lucide-react'
import { useState, type RefObject } from 'react'
import { useWorkshop } from '../units'
import { CalliperDrawing } from './CalliperDrawing'
import type { TextField } from './text-field'
import { typeInto } from './type-into'

/** The jaws open so far, mm. */
const WIDEST_MM = 8
const MM_PER_INCH = 25.4

interface CalliperPanelProps {
  /** How far its jaws are open, mm: they stay where they were while it is put away. */
  readonly mm: number
  readonly setMm: (mm: number) => void
  /** Where the cursor was last, outside the panel. */
  readonly field: RefObject<TextField | null>
  readonly putAway: () => void
}

/** Its jaws, its reading, and what was sent. */
export function CalliperPanel({ mm, setMm, field, putAway }: CalliperPanelProps) {
  const { unit: workshopUnit } = useWorkshop()
  const [unit, setUnit] = useState<'mm' | 'in'>(workshopUnit)
  const [sent, setSent] = useState<string | null>(null)

  const reading = unit === 'mm' ? mm.toFixed(2) : (mm / MM_PER_INCH).toFixed(4)
  const sendReading = () => {
    if (!field.current?.isConnected) return setSent('Click into a field first; the reading goes there.')
    typeInto(field.current, reading)
    setSent(`Sent ${reading}.`)
  }

  return (
    <section
      data-calliper
      aria-label="Calliper"
      className="sheet fixed right-3 bottom-18 z-40 w-[19rem] p-4 shadow-lg md:bottom-4"
    >
      <header className="flex items-center justify-between">
        <h2 className="font-semibold">
          Calliper <span className="font-text text-sm font-normal text-soft">a stand-in</span>
        </h2>
        <button
          type="button"
          onClick={putAway}
          className="inline-flex size-11 items-center justify-center"
          aria-label="Put the calliper away"
        >
          <X size={18} aria-hidden />
        </button>
      </header>
      <CalliperDrawing mm={mm} widest={WIDEST_MM} />
      <p className="plate-figure mt-1 text-right text-4xl" role="status">
        {reading}
        <span className="ml-1 font-text text-sm text-soft">{unit}</span>
      </p>
      <label className="mt-2 block text-sm">
        Jaws
        <input
          type="range"
          min={0}
          max={WIDEST_MM}
          step={0.01}
          value={mm}
          onChange={(event) => setMm(Number(event.target.value))}
          className="mt-1 h-11 w-full accent-verdigris"
        />
      </label>
      <div className="flex gap-2">
        <button type="button" className="button flex-1" onClick={() => setUnit(unit === 'mm' ? 'in' : 'mm')}>
          mm / in
        </button>
        <button type="button" className="button button-main flex-1" onClick={sendReading}>
          Send
        </button>
      </div>
      <p className="mt-2 text-sm text-soft" aria-live="polite">
        {sent ?? 'It types the reading where the cursor was, and presses Enter.'}
      </p>
    </section>
  )
}
