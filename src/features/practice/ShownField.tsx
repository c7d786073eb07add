'use client'

import { useMemo } from 'react'
import type { Instrument } from '@/core/instrument/instrument'
import { FieldDrawing, FieldFrame } from '@/drawings/field/FieldDrawing'
import { fieldShape } from '@/drawings/field/field-shape'
import { StringBand } from '@/drawings/field/StringBand'
import { OctaveMarks } from '@/drawings/field/OctaveMarks'

interface ShownFieldProps {
  readonly instrument: Instrument
  /** Of the string that is asked for. */
  readonly number: number
  /** It broke; else it is only marked. */
  readonly isBroken: boolean
  /** Of the string that was named instead; null where it was named right, or not yet. */
  readonly chosen: number | null
  /** Whether the answer may be seen: octaves are marked then. */
  readonly isTold: boolean
}

/** An instrument with one string broken or marked, and no name on it: its colours and its ends are the clues. */
export function ShownField({ instrument, number, isBroken, chosen, isTold }: ShownFieldProps) {
  const shape = useMemo(() => fieldShape(instrument), [instrument])
  const broken = useMemo(() => (isBroken ? [number] : []), [number, isBroken])
  const bands = [
    { of: number, colour: isTold ? 'var(--verdigris)' : 'var(--ochre)' },
    { of: isTold ? chosen : null, colour: 'var(--ochre)' },
  ]
  return (
    <FieldFrame
      shape={shape}
      title={`The strings of ${instrument.name}, one of them ${isBroken ? 'broken' : 'marked'}.`}
      // Numbers at its feet would tell the answer.
      className={`mx-auto max-h-[36vh] w-full md:max-h-[min(68vh,38rem)] ${isTold ? '' : '[&_text]:invisible'}`}
    >
      {bands.flatMap(({ of, colour }) =>
        shape.strings
          .filter(({ position }) => position.number === of)
          .map((s) => <StringBand key={of} shape={shape} string={s} colour={colour} opacity={0.45} />),
      )}
      <FieldDrawing shape={shape} broken={broken} />
      {isTold && <OctaveMarks shape={shape} />}
    </FieldFrame>
  )
}
