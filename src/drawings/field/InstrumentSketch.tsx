import type { Instrument } from '@/core/instrument/instrument'
import { FieldDrawing, FieldFrame } from './FieldDrawing'
import { fieldShape } from './field-shape'

/** An instrument's string field in small. */
export function InstrumentSketch({
  instrument,
  broken,
  className,
}: {
  instrument: Instrument
  broken: readonly number[]
  className?: string
}) {
  const shape = fieldShape(instrument)
  return (
    <FieldFrame
      shape={shape}
      title={`${instrument.name}, ${instrument.positions.length} strings`}
      {...(className ? { className } : {})}
    >
      <FieldDrawing shape={shape} broken={broken} />
    </FieldFrame>
  )
}
