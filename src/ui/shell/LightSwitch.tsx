'use client'

import { Moon, Sun } from 'lucide-react'
import { useState } from 'react'

const YEAR_SECONDS = 31_536_000

/** Changes between daylight and Backstage, and remembers it on this device. */
export function LightSwitch({ light }: { light: 'day' | 'backstage' }) {
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
      {now === 'day' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}{' '}
      <span className="md:max-xl:sr-only">{now === 'day' ? 'Backstage' : 'Daylight'}</span>
    </button>
  )
}
