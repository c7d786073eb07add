'use client'

import { useState, type ReactNode } from 'react'
import { AT_THE_BENCH } from './at-the-bench'

const NOBODY = 'nobody said'

/** Who is at the bench, for the record: kept on this device. */
export function BenchSwitch({
  people,
  now,
  icon,
}: {
  readonly people: readonly string[]
  readonly now: string | null
  readonly icon: ReactNode
}) {
  const [who, setWho] = useState(now ?? NOBODY)
  if (people.length === 0) return null
  const say = (name: string) => {
    setWho(name)
    const value = name === NOBODY ? '; max-age=0' : `${encodeURIComponent(name)}; max-age=31536000`
    document.cookie = `${AT_THE_BENCH}=${value}; path=/; samesite=strict`
  }
  return (
    <label className="inline-flex min-h-11 items-center gap-1.5 text-sm text-soft">
      {icon}
      <span className="sr-only">Who is at the bench</span>
      <select
        className="max-w-28 min-h-11 bg-transparent"
        value={who}
        onChange={(event) => say(event.target.value)}
      >
        {[NOBODY, ...people].map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    </label>
  )
}
