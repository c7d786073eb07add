'use client'

import type { ComponentProps } from 'react'
import { Labelled, type LabelledProps } from './Labelled'

/** A labelled field with its hint and, when something is wrong, one sentence beside it. */
export function Entry({ label, hint, problem, ...input }: LabelledProps & ComponentProps<'input'>) {
  return (
    <Labelled label={label} {...(hint ? { hint } : {})} problem={problem}>
      {(wiring) => <input className="entry mt-1 text-lg" autoComplete="off" {...wiring} {...input} />}
    </Labelled>
  )
}
