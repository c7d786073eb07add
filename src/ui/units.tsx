'use client'

import { createContext, useContext, type ReactNode } from 'react'

export interface HouseView {
  readonly name: string
  readonly unit: 'mm' | 'in'
  readonly timeZone: string
}

const HouseContext = createContext<HouseView>({ name: '', unit: 'mm', timeZone: 'UTC' })

/** Gives every screen the house's units and time zone. */
export function HouseProvider({ house, children }: { house: HouseView; children: ReactNode }) {
  return <HouseContext value={house}>{children}</HouseContext>
}

/** The house's units and time zone. */
export function useHouse(): HouseView {
  return useContext(HouseContext)
}
