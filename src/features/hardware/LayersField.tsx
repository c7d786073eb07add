'use client'

import { useMemo, useRef, useState, type PointerEvent } from 'react'
import type { Instrument } from '@/core/instrument/instrument'
import type { DrawnString } from '@/drawings/field/drawn-string'
import { FieldDrawing, FieldFrame } from '@/drawings/field/FieldDrawing'
import { fieldShape } from '@/drawings/field/field-shape'

interface LayersFieldProps {
  readonly instrument: Instrument
  /** Told when a string was dragged onto another: numbers from the top. */
  readonly onLay: (over: number, under: number) => void
}

interface Drag {
  readonly from: DrawnString
  readonly to: DrawnString
}

/** The string field with an arc from each string to what it lies over; dragging one onto another says that it lies over it. */
export function LayersField({ instrument, onLay }: LayersFieldProps) {
  const shape = useMemo(() => fieldShape(instrument), [instrument])
  const svg = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<Drag | null>(null)

  const nearest = (event: PointerEvent): DrawnString | null => {
    const matrix = svg.current?.getScreenCTM()?.inverse()
    if (!matrix) return null
    const { x } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    return shape.strings.reduce((best, s) => (Math.abs(s.x - x) < Math.abs(best.x - x) ? s : best))
  }
  const byNumber = new Map(shape.strings.map((s) => [s.position.number, s]))
  const arcs = instrument.coverings.flatMap(({ over, under }) => {
    const [from, to] = [byNumber.get(over), byNumber.get(under)]
    return from && to ? [{ from, to }] : []
  })
  const unit = shape.viewBox.height / 100
  return (
    <FieldFrame
      ref={svg}
      shape={shape}
      title={`Drag a string of ${instrument.name} onto the one that it lies over`}
      className="h-96 w-full cursor-crosshair touch-none select-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        const from = nearest(event)
        setDrag(from && { from, to: from })
      }}
      onPointerMove={(event) => {
        const to = drag && nearest(event)
        if (drag && to && to !== drag.to) setDrag({ ...drag, to })
      }}
      onPointerUp={() => {
        if (drag && drag.to !== drag.from) onLay(drag.from.position.number, drag.to.position.number)
        setDrag(null)
      }}
      onPointerCancel={() => setDrag(null)}
    >
      <FieldDrawing shape={shape} broken={[]} />
      <g fill="none" strokeWidth={unit * 0.5} strokeLinecap="round">
        {arcs.map((arc) => (
          <path
            key={`${arc.from.position.number} ${arc.to.position.number}`}
            d={arcOf(arc, unit)}
            stroke="var(--ink)"
          />
        ))}
        {drag && <path d={arcOf(drag, unit)} stroke="var(--ochre)" strokeWidth={unit} />}
      </g>
      <g fill="var(--ink)">
        {arcs.map(({ from, to }) => (
          <circle
            key={`${from.position.number} ${to.position.number}`}
            cx={to.x}
            cy={middle(to)}
            r={unit * 0.8}
          />
        ))}
      </g>
    </FieldFrame>
  )
}

function middle({ tail, bridge }: DrawnString): number {
  return tail + (bridge - tail) * 0.12
}

/** From the string that lies over to the one below, which ends in a dot. */
function arcOf({ from, to }: Drag, unit: number): string {
  const [y1, y2] = [middle(from), middle(to)]
  const lift = Math.min(Math.abs(from.x - to.x) * 0.6 + unit * 3, unit * 20)
  return `M${from.x},${y1}Q${(from.x + to.x) / 2},${Math.min(y1, y2) - lift} ${to.x},${y2}`
}
