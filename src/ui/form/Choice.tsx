'use client'

import type { ComponentProps } from 'react'
import { Labelled, type LabelledProps } from './Labelled'

/** A labelled choice among a few words. */
export function Choice({
  label,
  hint,
  problem,
  options,
  ...select
}: LabelledProps & ComponentProps<'select'> & { readonly options: readonly string[] }) {
  return (
    <Labelled label={label} {...(hint ? { hint } : {})} problem={problem}>
      {(wiring) => (
        <select className="entry mt-1" {...wiring} {...select}>
          {options.map((option) => (
            <option key={option}>{option}</option>
          ))}
        </select>
      )}
    </Labelled>
  )
}
