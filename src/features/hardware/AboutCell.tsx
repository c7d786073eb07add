'use client'

import { useMemo } from 'react'
import type { Habits } from '@/core/fitting/habits'
import { acceptedText, HARDWARE, HARDWARE_NAMES, type HardwareColumn } from '@/core/hardware/columns'
import { movesOf, type Moved, type Moves } from '@/core/hardware/moves'
import type { Instrument } from '@/core/instrument/instrument'
import { measure, type Measure } from '@/core/measure'
import { HardwareDrawing } from '@/drawings/HardwareDrawing'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { HOW } from './hardware-words'

interface AboutCellProps {
  readonly instrument: Instrument
  readonly habits: Habits
  /** Of the string that figures are told of. */
  readonly number: number
  readonly column: HardwareColumn
  /** As it stands in the cell, where it is one for all. */
  readonly text: string
  /** Whether the pin’s height is to its string hole. */
  readonly toHole: boolean
  /** How many strings of how many are still assumed; null where the chart came whole. */
  readonly assumed: { readonly count: number; readonly of: number } | null
  readonly onConfirm: () => void
}

/** What the cell in the hand is: from where to where it is measured, whether it is assumed, and which figures it moves. */
export function AboutCell({
  instrument,
  habits,
  number,
  column,
  text,
  toHole,
  assumed,
  onConfirm,
}: AboutCellProps) {
  const { unit } = useWorkshop()
  const moves = useMemo(
    () => movesOf(instrument, habits, number, column),
    [instrument, habits, number, column],
  )
  const shown = HARDWARE[column].is === 'length' && text !== '' ? `${text} ${unit}` : text
  return (
    <div aria-live="polite">
      <h2 className="text-lg font-semibold">{HARDWARE_NAMES[column]}</h2>
      <p>{HOW[column]}</p>
      <p className="text-sm text-soft">{acceptedText(column, unit)}</p>
      <div className="mt-2">
        <HardwareDrawing of={column} text={shown} toHole={toHole} />
      </div>
      {moves && <WhatMoves moves={moves} column={column} />}
      {assumed && assumed.count > 0 && (
        <div className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          <p className="text-sm">
            {assumed.count < assumed.of
              ? `Assumed for ${assumed.count} of these ${assumed.of} strings.`
              : 'Assumed: it is what the family usually has.'}{' '}
            Type what you measure; where it is right already, say so.
          </p>
          <button type="button" className="button mt-2" onClick={onConfirm}>
            It is right as it stands
          </button>
        </div>
      )}
      {assumed?.count === 0 && <p className="mt-3 text-sm text-soft">Measured.</p>}
    </div>
  )
}

const MOVED_NAMES: Record<Moved, string> = {
  cut: 'the cut',
  slack: 'the slack',
  wraps: 'the wraps',
  key: 'the key from snug to pitch',
  side: 'the angle at the pin',
  higher: 'how high the pin stands before winding',
}

function WhatMoves({
  moves: { by, figures },
  column,
}: {
  readonly moves: Moves
  readonly column: HardwareColumn
}) {
  const { unit } = useWorkshop()
  const ratio = HARDWARE[column].is === 'ratio'
  const step = ratio ? '1 more' : `${measureText(measure(by < 1e-3 ? 'width' : 'length', by), unit)} more`
  return (
    <div className="mt-3 text-sm">
      <p className="font-semibold">{step} moves</p>
      {figures.length === 0 ? (
        <p className="text-soft">no figure of this string by itself.</p>
      ) : (
        <ul>
          {figures.map(({ of, gains }) => (
            <li key={of} className="flex justify-between gap-3">
              <span>{MOVED_NAMES[of]}</span>
              <span className="tabular-nums">
                {gains > 0 ? '+' : '−'}
                {measureText(gained(of, Math.abs(gains)), unit)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function gained(of: Moved, value: number): Measure {
  switch (of) {
    case 'cut':
    case 'slack':
    case 'higher':
      return measure('width', value)
    case 'wraps':
      return measure('wraps', value)
    case 'key':
    case 'side':
      return measure('angle', value)
  }
}
