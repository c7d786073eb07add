'use client'

import Link from 'next/link'
import { useState, type FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import { Labelled } from '@/ui/form/Labelled'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'

/** A parked tail, in the words that its row tells it in. */
interface ToldTail {
  readonly id: number
  readonly slug: string
  readonly number: number
  readonly name: string
  /** When it may be trimmed, and what hangs by it. */
  readonly says: string
  readonly isDue: boolean
  /** The packet that hangs by it; null where none does. */
  readonly coil: string | null
}

/** A tail parked on a neck: when it is due, and its trimming, which books what is left of the packet that hung by it. */
export function TailRow({ tail }: { readonly tail: ToldTail }) {
  const { unit } = useWorkshop()
  const { act, refused } = useAct()
  const [left, setLeft] = useState('')
  const { name } = tail
  const trim = (event: FormEvent) => {
    event.preventDefault()
    void act(
      endpoints.trimTail(tail.id),
      { unit, ...(tail.coil ? { left } : {}) },
      `The tail of ${withThe(name)} is trimmed.`,
    )
  }
  return (
    <li className="py-3">
      <Link href={pages.instrument(tail.slug, tail.number)} className="font-semibold hover:underline">
        {name}
      </Link>
      <p className={`text-sm ${tail.isDue ? 'font-semibold text-ochre' : 'text-soft'}`}>{tail.says}</p>
      <form onSubmit={trim} noValidate className="mt-1 flex flex-wrap items-end gap-2">
        {tail.coil && (
          <Labelled label={`Left of ${tail.coil}, ${unit}`} problem={refused?.sentence}>
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
