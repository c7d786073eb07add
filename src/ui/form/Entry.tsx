'use client'

import { useId, type ComponentProps } from 'react'

interface EntryProps extends ComponentProps<'input'> {
  readonly label: string
  readonly hint?: string
  /** One sentence on what is wrong with what was typed. */
  readonly problem?: string | undefined
}

/** A labelled field with its hint and, when something is wrong, one sentence beside it. */
export function Entry({ label, hint, problem, ...input }: EntryProps) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="block font-semibold">{label}</label>
      <input id={id} className="entry mt-1 text-lg" aria-invalid={problem !== undefined} aria-describedby={hint || problem ? `${id}-help` : undefined} autoComplete="off" {...input} />
      {(hint || problem) && <p id={`${id}-help`} className={`mt-1 text-sm ${problem ? 'font-semibold text-ochre' : 'text-soft'}`}>{problem ?? hint}</p>}
    </div>
  )
}
