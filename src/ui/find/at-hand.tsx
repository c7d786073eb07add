'use client'

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react'
import type { Instrument } from '@/core/instrument/instrument'

interface AtHand {
  readonly instrument: Instrument
  /** Takes a string that was found on it. */
  readonly pick: (number: number) => void
}

interface AtHandPlace {
  readonly atHand: AtHand | null
  readonly lay: (atHand: AtHand | null) => void
}

const AtHandContext = createContext<AtHandPlace>({ atHand: null, lay: () => {} })

/** Keeps which instrument is at hand, so that a name typed anywhere is read on it first. */
export function AtHandProvider({ children }: { children: ReactNode }) {
  const [atHand, lay] = useState<AtHand | null>(null)
  const place = useMemo(() => ({ atHand, lay }), [atHand])
  return <AtHandContext value={place}>{children}</AtHandContext>
}

/** The instrument at hand, or null. */
export function useAtHand(): AtHand | null {
  return useContext(AtHandContext).atHand
}

/** Says that a page is about an instrument, and what becomes of a string found on it; `pick` must keep its identity. */
export function useLayAtHand(instrument: Instrument, pick: (number: number) => void): void {
  const { lay } = useContext(AtHandContext)
  useEffect(() => {
    lay({ instrument, pick })
    return () => lay(null)
  }, [instrument, pick, lay])
}
