import { memo } from 'react'
import type { FieldShape } from './field-shape'

/** A bar to measure the drawing by, in the house's unit. */
export const ScaleBar = memo(function ScaleBar({ shape, unit }: { shape: FieldShape; unit: 'mm' | 'in' }) {
  const { x, y, width, height } = shape.viewBox
  const scale = height / 620
  const length = unit === 'mm' ? (width > 400 ? 100 : 50) : width > 400 ? 101.6 : 50.8
  const label = unit === 'mm' ? `${length} mm` : `${Math.round(length / 25.4)} in`
  const left = x + width - length - 10 * scale
  const top = y + height - 12 * scale
  return (
    <g aria-hidden>
      <path d={`M${left},${top - 5 * scale}v${5 * scale}h${length}v${-5 * scale}`} fill="none" stroke="var(--soft)" strokeWidth={1.2 * scale} />
      <text x={left + length / 2} y={top - 7 * scale} textAnchor="middle" fontSize={10.5 * scale} fill="var(--soft)">{label}</text>
    </g>
  )
})
