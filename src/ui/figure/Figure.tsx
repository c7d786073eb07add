'use client'

import type { Measure } from '@/core/measure'
import type { Working } from '@/core/working'
import { showMeasure } from '../format/measure'
import { useWorkshop } from '../units'
import { ShowWorking } from './ShowWorking'

const SIZES = { small: 'text-xl', large: 'text-3xl', huge: 'text-5xl md:text-6xl' } as const

interface FigureProps {
  readonly label: string
  readonly measure: Measure
  readonly size?: keyof typeof SIZES
  readonly note?: string
  readonly working?: Working
}

/** A figure to be read at bench distance: large and tabular, its unit small beside it, its working behind a button. */
export function Figure({ label, measure, size = 'large', note, working }: FigureProps) {
  const { unit } = useWorkshop()
  const shown = showMeasure(measure, unit)
  return (
    <div className="min-w-0">
      <div className="label flex items-center gap-1">
        {label}
        {working && <ShowWorking working={working} />}
      </div>
      <div className="flex items-baseline">
        <span className={`plate-figure ${SIZES[size]} leading-tight`}>
          {shown.figure}
          {shown.unit === '°' && '°'}
        </span>
        {shown.unit !== '°' && <span className="ml-1.5 text-sm text-soft">{shown.unit}</span>}
      </div>
      {note && <div className="text-sm text-soft">{note}</div>}
    </div>
  )
}
