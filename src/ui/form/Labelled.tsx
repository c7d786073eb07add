'use client'

import { useEffect, useId, useRef, type ReactNode } from 'react'

export interface LabelledProps {
  readonly label: string
  readonly hint?: string
  /** One sentence on what is wrong with what was typed. */
  readonly problem?: string | undefined
}

/** What a control needs so that its label, hint and sentence belong to it. */
interface Wiring {
  readonly id: string
  readonly 'aria-invalid': boolean
  readonly 'aria-describedby': string | undefined
}

/** The frame of a field: its label above, and below it the hint or, when something is wrong, one sentence. */
export function Labelled({
  label,
  hint,
  problem,
  children,
}: LabelledProps & { readonly children: (wiring: Wiring) => ReactNode }) {
  const id = useId()
  const below = problem ?? hint
  const frame = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // While someone types, the page stays where it is.
    if (problem !== undefined && !isTyping()) frame.current?.scrollIntoView({ block: 'nearest' })
  }, [problem])
  return (
    <div ref={frame} className="scroll-my-24">
      <label htmlFor={id} className="block font-semibold">
        {label}
      </label>
      {children({
        id,
        'aria-invalid': problem !== undefined,
        'aria-describedby': below ? `${id}-help` : undefined,
      })}
      {below && (
        <p id={`${id}-help`} className={`mt-1 text-sm ${problem ? 'font-semibold text-ochre' : 'text-soft'}`}>
          {below}
        </p>
      )}
    </div>
  )
}

function isTyping(): boolean {
  return document.activeElement?.matches('input, textarea, select') ?? false
}
