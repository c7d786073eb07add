'use client'

import { useMemo, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import { samePiece, type Instrument } from '@/core/instrument/instrument'
import { countedFromWord } from '@/core/instrument/names'
import { FieldDrawing, FieldFrame } from './FieldDrawing'
import { fieldShape, type FieldShape } from './field-shape'
import { OctaveMarks } from './OctaveMarks'
import { ScaleBar } from './ScaleBar'
import { SelectedString } from './SelectedString'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import type { StringPicker } from './use-string-picker'

interface PickableFieldProps {
  readonly instrument: Instrument
  readonly broken: readonly number[]
  readonly picker: StringPicker
  /** Drawn over the strings, and painted again with them. */
  readonly overlay?: (shape: FieldShape) => ReactNode
  readonly className?: string
}

/** The string field: point at a string, drag along them, or use the arrow keys. */
export function PickableField({ instrument, broken, picker, overlay, className }: PickableFieldProps) {
  const leadingNames = useLeadingNames()
  const shape = useMemo(() => fieldShape(instrument), [instrument])
  const svg = useRef<SVGSVGElement>(null)
  const { unit } = useWorkshop()
  const picked = instrument.positions[picker.selected - 1]
  const served = picked ? [picked, ...samePiece(instrument, picked).filter((p) => p !== picked)] : []
  const drawn = served.flatMap((p) => shape.strings.filter((s) => s.position === p))

  const pickAt = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse()
    if (!matrix) return
    const { x } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    const nearest = shape.strings.reduce((best, s) => (Math.abs(s.x - x) < Math.abs(best.x - x) ? s : best))
    picker.pick(nearest.position.number)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (!event.altKey && !event.ctrlKey && !event.metaKey && picker.moveBy(event.key)) event.preventDefault()
  }

  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`String field of ${instrument.name}`}
      aria-orientation="horizontal"
      aria-valuemin={1}
      aria-valuemax={instrument.positions.length}
      aria-valuenow={picker.selected}
      aria-valuetext={
        picked
          ? `${leadingNames(picked).name}, ${leadingNames(picked).beside}, number ${picked.called.number} ${countedFromWord(instrument)}`
          : ''
      }
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        pickAt(event)
      }}
      onPointerMove={(event) => {
        if (event.buttons > 0) pickAt(event)
      }}
      className={`relative cursor-crosshair touch-pan-y select-none ${className ?? ''}`}
    >
      {/* Two layers: the instrument is painted once, and only what moves over it is painted again. */}
      <FieldFrame
        shape={shape}
        title={`${instrument.name}, drawn to scale`}
        className="absolute inset-0 h-full w-full will-change-transform"
      >
        <FieldDrawing shape={shape} broken={broken} />
        {overlay?.(shape)}
        <OctaveMarks shape={shape} />
        <ScaleBar shape={shape} unit={unit} />
      </FieldFrame>
      <FieldFrame
        ref={svg}
        shape={shape}
        title="The picked string"
        className="absolute inset-0 h-full w-full will-change-transform"
      >
        <SelectedString shape={shape} strings={drawn} unit={unit} />
      </FieldFrame>
    </div>
  )
}
