'use client'

import { createContext, useContext, type ReactNode } from 'react'
import type { NameScheme } from '@/core/instrument/names'
import type { HarpTop } from '@/core/instrument/presets'
import type { LengthUnit } from '@/core/units/length'
import type { Units } from './format/measure'

export interface WorkshopView {
  readonly name: string
  /** Of lengths, as they are typed. */
  readonly unit: 'mm' | 'in'
  /** Of gauges, as they are typed. */
  readonly gaugeUnit: LengthUnit
  /** Of both, as they are shown. */
  readonly units: Units
  readonly timeZone: string
  /** Which name of a string leads. */
  readonly octaveNames: NameScheme
  /** What the top of a harp strung with gut has. */
  readonly gutTop: HarpTop
  /** Whether it keeps strings in store. */
  readonly keepsStores: boolean
  /** What a new instrument is tuned to, Hz. */
  readonly referenceA: number
}

const WorkshopContext = createContext<WorkshopView>({
  name: '',
  unit: 'mm',
  gaugeUnit: 'mm',
  units: 'mm',
  timeZone: 'UTC',
  octaveNames: 'E-to-F octaves',
  gutTop: 'as charted',
  keepsStores: true,
  referenceA: 440,
})

/** Gives every screen what it must know of the house. */
export function WorkshopProvider({ workshop, children }: { workshop: WorkshopView; children: ReactNode }) {
  return <WorkshopContext value={workshop}>{children}</WorkshopContext>
}

/** What every screen must know of the house. */
export function useWorkshop(): WorkshopView {
  return useContext(WorkshopContext)
}

/** Lets an instrument or a job lead with another name than the house does. */
export function NamesAs({ scheme, children }: { scheme: NameScheme; children: ReactNode }) {
  const workshop = useWorkshop()
  return <WorkshopContext value={{ ...workshop, octaveNames: scheme }}>{children}</WorkshopContext>
}
