import { useCallback, useMemo } from 'react'
import { samePiece, type Instrument } from '@/core/instrument/instrument'
import type { StandNow } from '@/core/restring/moments'
import type { FieldShape } from '@/drawings/field/field-shape'
import { LevelledStrings, LevelScale } from '@/drawings/field/LevelledStrings'
import { PickableField } from '@/drawings/field/PickableField'
import type { StringPicker } from '@/drawings/field/use-string-picker'
import { STANDS } from './words'

interface RestringFieldProps {
  readonly instrument: Instrument
  readonly picker: StringPicker
  /** By the first string of a piece; those that are left out stand as they were. */
  readonly stands: ReadonlyMap<number, StandNow>
}

const NONE: readonly number[] = []

/** The instrument while it is restrung: which strings are off, slack, at half pitch, and new. */
export function RestringField({ instrument, picker, stands }: RestringFieldProps) {
  const levels = useMemo(() => {
    const of: Record<number, number> = {}
    for (const [id, stand] of stands) {
      const level = STANDS.find((one) => one.stand === stand)?.level
      const position = instrument.positions[id - 1]
      if (level === undefined || !position) continue
      for (const { number } of samePiece(instrument, position)) of[number] = level
    }
    return of
  }, [instrument, stands])
  const drawOver = useCallback(
    (shape: FieldShape) => <LevelledStrings shape={shape} levels={levels} onlyLevelled />,
    [levels],
  )
  return (
    <>
      <PickableField
        instrument={instrument}
        broken={NONE}
        picker={picker}
        overlay={drawOver}
        className="mt-3 h-[15rem] md:h-[min(24rem,calc(100dvh-24rem))] md:min-h-[16rem]"
      />
      <LevelScale
        marks={STANDS}
        height={28}
        className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm"
        markClass="h-7 w-3.5"
      >
        <li className="flex items-center text-soft">as drawn: as it was</li>
      </LevelScale>
    </>
  )
}
