'use client'

import Link from 'next/link'
import { useState, type FormEvent } from 'react'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import { measure } from '@/core/measure'
import type { ParkedTail } from '@/data/fitted/parked-tails'
import { Labelled } from '@/ui/form/Labelled'
import { measureText } from '@/ui/format/measure'
import { nearText } from '@/ui/format/time'
import { useAct } from '@/ui/shell/use-act'
import { useHouse } from '@/ui/units'

/** A tail parked on a neck: when it is due, and its trimming, which books what is left of the packet that hung by it. */
export function TailRow({ tail, now }: { readonly tail: ParkedTail; readonly now: number }) {
  const { timeZone, unit } = useHouse()
  const { act, refused } = useAct()
  const [left, setLeft] = useState('')
  const due = tail.dueAt <= now
  const name = `${tail.name} of ${tail.instrumentName}`
  const trim = (event: FormEvent) => {
    event.preventDefault()
    void act(
      calls.trimTail(tail.id),
      { unit, ...(tail.coil ? { left } : {}) },
      `The tail of ${withThe(name)} is trimmed.`,
    )
  }
  return (
    <li className="py-3">
      <Link href={pages.instrument(tail.slug, tail.number)} className="font-semibold hover:underline">
        {name}
      </Link>
      <p className={`text-sm ${due ? 'font-semibold text-ochre' : 'text-soft'}`}>
        {tail.ended
          ? 'Its string came off.'
          : due
            ? 'Trim it now.'
            : `Trim it from ${nearText(tail.dueAt, now, timeZone)}.`}
        {tail.coil &&
          ` ${tail.coil.label} hangs by it, ${measureText(measure('length', tail.coil.lengthLeft), unit)} before it was fitted.`}
      </p>
      <form onSubmit={trim} noValidate className="mt-1 flex flex-wrap items-end gap-2">
        {tail.coil && (
          <Labelled label={`Left of ${tail.coil.label}, ${unit}`} problem={refused?.sentence}>
            {(wiring) => (
              <input
                className="entry mt-1 w-32"
                inputMode="decimal"
                autoComplete="off"
                {...wiring}
                value={left}
                onChange={(event) => setLeft(event.target.value)}
              />
            )}
          </Labelled>
        )}
        <button type="submit" className="button" aria-label={`The tail of ${withThe(name)} is trimmed`}>
          Trimmed
        </button>
      </form>
      {!tail.coil && refused && (
        <p role="alert" className="text-sm font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </li>
  )
}
