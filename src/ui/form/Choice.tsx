'use client'

import { useId, type ComponentProps } from 'react'

interface ChoiceProps extends ComponentProps<'select'> {
  readonly label: string
  readonly hint?: string
  readonly problem?: string | undefined
  readonly options: readonly string[]
}

/** A labelled choice among a few words. */
export function Choice({ label, hint, problem, options, ...select }: ChoiceProps) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="block font-semibold">{label}</label>
      <select id={id} className="entry mt-1" aria-invalid={problem !== undefined} aria-describedby={hint || problem ? `${id}-help` : undefined} {...select}>
        {options.map((option) => <option key={option}>{option}</option>)}
      </select>
      {(hint || problem) && <p id={`${id}-help`} className={`mt-1 text-sm ${problem ? 'font-semibold text-ochre' : 'text-soft'}`}>{problem ?? hint}</p>}
    </div>
  )
}
