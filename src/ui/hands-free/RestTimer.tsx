'use client'

import { Timer } from 'lucide-react'
import { useEffect, useState } from 'react'

/** Counts a rest down; the key has cooled when it is over. */
export function RestTimer({ seconds, onOver }: { readonly seconds: number; readonly onOver: () => void }) {
  const [left, setLeft] = useState<number | null>(null)
  const running = left !== null && left > 0
  useEffect(() => {
    if (!running) return
    const timer = setTimeout(() => {
      setLeft((now) => Math.max(0, (now ?? 0) - 1))
      if (left === 1) onOver()
    }, 1000)
    return () => clearTimeout(timer)
  }, [running, left, onOver])
  return (
    <p className="flex flex-wrap items-center gap-3">
      <button type="button" className="button min-h-12" onClick={() => setLeft(seconds)}>
        <Timer size={18} aria-hidden /> {running ? 'Begin the rest again' : `Rest ${seconds} s`}
      </button>
      <span role="timer" aria-live="off" className="plate-figure text-2xl">
        {left === null ? '' : left === 0 ? 'Go on turning.' : `${left} s`}
      </span>
    </p>
  )
}
