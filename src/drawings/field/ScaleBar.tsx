import { memo } from 'react'
import type { FieldShape } from './field-shape'

/** A bar to measure the drawing by, in the house's unit. */
export const ScaleBar = memo(function ScaleBar({ shape, unit }: { shape: FieldShape; unit: 'mm' | 'in' }) {
  const { x, y, width, height } = shape.viewBox
  const scale = height / 620
  const length = unit === 'mm' ? (width > 400 ? 100 : 50) : width > 400 ? 101.6 : 50.8
  if (shape.across > 1) return <UprightBar shape={shape} unit={unit} />
  const label = unit === 'mm' ? `${length} mm` : `${Math.round(length / 25.4)} in`
  const left = x + width - length - 10 * scale
  const top = y + height - 12 * scale
  return (
    <g aria-hidden>
      <path
        d={`M${left},${top - 5 * scale}v${5 * scale}h${length}v${-5 * scale}`}
        fill="none"
        stroke="var(--soft)"
        strokeWidth={1.2 * scale}
      />
      <text
        x={left + length / 2}
        y={top - 7 * scale}
        textAnchor="middle"
        fontSize={10.5 * scale}
        fill="var(--soft)"
      >
        {label}
      </text>
    </g>
  )
})

/** Lengths are to scale and widths are not: the bar stands along the strings and says so. */
function UprightBar({ shape, unit }: { shape: FieldShape; unit: 'mm' | 'in' }) {
  const { x, y, width, height } = shape.viewBox
  const scale = height / 620
  const [length, label] = unit === 'mm' ? [100, '100 mm'] : [101.6, '4 in']
  const right = x + width - 12 * scale
  // Clear of the names of the strings on a foot.
  const bottom = Math.min(
    y + height - 28 * scale,
    ...shape.feet.map((foot) => foot.y - foot.radius - 70 * scale),
  )
  return (
    <g aria-hidden>
      <path
        d={`M${right - 5 * scale},${bottom}h${5 * scale}v${-length}h${-5 * scale}`}
        fill="none"
        stroke="var(--soft)"
        strokeWidth={1.2 * scale}
      />
      <text
        x={right - 8 * scale}
        y={bottom - length / 2}
        textAnchor="end"
        dominantBaseline="central"
        fontSize={10.5 * scale}
        fill="var(--soft)"
      >
        {label}
      </text>
      <text x={right} y={bottom + 16 * scale} textAnchor="end" fontSize={10.5 * scale} fill="var(--soft)">
        widths × {shape.across}
      </text>
    </g>
  )
}
