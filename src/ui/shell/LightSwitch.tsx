'use client'

import { useState, type ReactNode } from 'react'

const YEAR_SECONDS = 31_536_000

interface LightSwitchProps {
  readonly light: 'day' | 'backstage'
  readonly moon: ReactNode
  readonly sun: ReactNode
}

/** Changes between daylight and Backstage, and remembers it on this device. */
export function LightSwitch({ light, moon, sun }: LightSwitchProps) {
  const [now, setNow] = useState(light)
  const change = () => {
    const next = now === 'day' ? 'backstage' : 'day'
    document.documentElement.dataset.light = next
    document.cookie = `light=${next}; path=/; max-age=${YEAR_SECONDS}; samesite=strict`
    setNow(next)
  }
  return (
    <button
      type="button"
      onClick={change}
      aria-pressed={now === 'backstage'}
      className="inline-flex min-h-11 items-center gap-2 px-2 text-sm text-soft hover:text-ink"
    >
      {now === 'day' ? moon : sun}{' '}
      <span className="md:max-xl:sr-only">{now === 'day' ? 'Backstage' : 'Daylight'}</span>
    </button>
  )
}
