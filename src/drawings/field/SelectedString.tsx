import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import type { DrawnString } from './drawn-string'
import type { FieldShape } from './field-shape'
import { StringBand } from './StringBand'

interface SelectedStringProps {
  readonly shape: FieldShape
  /** Everything that the picked string's piece serves; the picked one first. */
  readonly strings: readonly DrawnString[]
  readonly unit: 'mm' | 'in'
}

/** The picked string: a band along it, and its speaking length as a dimension line. */
export function SelectedString({ shape, strings, unit }: SelectedStringProps) {
  const [picked] = strings
  if (!picked) return null
  const scale = shape.viewBox.height / 620
  const toLeft = picked.x > shape.viewBox.x + shape.viewBox.width * 0.4
  const away = (toLeft ? -1 : 1) * 30 * scale
  const x = picked.x + away
  const tick = 6 * scale
  const text = measureText(measure('length', picked.position.speakingLength), unit)
  const middle = (picked.bridge + picked.tail) / 2
  return (
    <g aria-hidden>
      {strings.map((s) => (
        <StringBand
          key={s.position.number}
          shape={shape}
          string={s}
          colour="var(--verdigris)"
          opacity={s === picked ? 0.42 : 0.22}
        />
      ))}
      <g stroke="var(--verdigris)" strokeWidth={1.3 * scale}>
        <line x1={picked.x} x2={x + Math.sign(away) * tick} y1={picked.bridge} y2={picked.bridge} />
        <line x1={picked.x} x2={x + Math.sign(away) * tick} y1={picked.tail} y2={picked.tail} />
        <line x1={x} x2={x} y1={picked.bridge} y2={picked.tail} />
        <path
          d={`M${x - tick / 2},${picked.bridge + tick}L${x},${picked.bridge}L${x + tick / 2},${picked.bridge + tick}M${x - tick / 2},${picked.tail - tick}L${x},${picked.tail}L${x + tick / 2},${picked.tail - tick}`}
          fill="none"
        />
      </g>
      <g transform={`translate(${x},${middle})`}>
        <rect
          x={-34 * scale}
          y={-10 * scale}
          width={68 * scale}
          height={20 * scale}
          fill="var(--paper)"
          stroke="var(--verdigris)"
          strokeWidth={0.8 * scale}
        />
        <text
          textAnchor="middle"
          dominantBaseline="central"
          fontSize={13 * scale}
          fontWeight={600}
          fill="var(--ink)"
        >
          {text}
        </text>
      </g>
    </g>
  )
}
