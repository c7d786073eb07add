'use client'

import type { KeyFigures } from '@/core/fitting/figures'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

const RADIUS = 46
/** How far a full turn moves outward, so that turns past the first stay readable. */
const RISE = 9
const MAX_TURNS_SHOWN = 760
/** Further round the picture has no room, and a string that a file makes up may ask for millions of degrees. */
const OUTERMOST = 1900

/** The way of the key as an arc: from snug to pitch, one semitone on, and on to breaking. */
export function KeyDial({
  keyFigures: k,
  clockwise,
  toHalf = false,
  className,
}: {
  keyFigures: KeyFigures
  clockwise: boolean
  /** It is brought up to half its pitch only, which is marked. */
  toHalf?: boolean
  className?: string
}) {
  const { units } = useWorkshop()
  const text = (value: number) => measureText(measure('angle', value), units)
  const breaking = Math.min(MAX_TURNS_SHOWN, k.snugToPitch + k.toBreaking)
  const sign = clockwise ? 1 : -1
  const spot = (asked: number, out = 0) => {
    const degrees = Math.min(OUTERMOST, asked)
    const radians = (degrees * sign * Math.PI) / 180
    const r = RADIUS + (degrees / 360) * RISE + out
    return `${(Math.sin(radians) * r).toFixed(2)},${(-Math.cos(radians) * r).toFixed(2)}`
  }
  const arc = (from: number, to: number) => {
    const end = Math.min(OUTERMOST, to)
    const pieces = Math.max(1, Math.ceil((end - from) / 4))
    return `M${Array.from({ length: pieces + 1 }, (_, i) => spot(from + ((end - from) * i) / pieces)).join('L')}`
  }
  return (
    <svg
      viewBox="-104 -92 208 184"
      className={className}
      role="img"
      aria-label={`Key: ${toHalf ? `${text(k.snugToHalf)} from snug to half the pitch, ` : ''}${text(k.snugToPitch)} from snug to pitch, ${text(k.perSemitone)} a semitone, ${text(k.toBreaking)} from pitch to breaking`}
    >
      {Array.from({ length: 24 }, (_, i) => (
        <line
          key={i}
          x1={0}
          x2={0}
          y1={-RADIUS + (i % 6 ? 5 : 9)}
          y2={-RADIUS + 1}
          stroke="var(--line)"
          strokeWidth={i % 6 ? 0.8 : 1.4}
          transform={`rotate(${i * 15})`}
        />
      ))}
      <rect x={-7} y={-7} width={14} height={14} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.4} />
      <path
        d={arc(k.snugToPitch, breaking)}
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={3}
        strokeDasharray="2 4"
      />
      <path d={arc(0, k.snugToPitch)} fill="none" stroke="var(--verdigris)" strokeWidth={toHalf ? 2 : 6} />
      {toHalf && <path d={arc(0, k.snugToHalf)} fill="none" stroke="var(--verdigris)" strokeWidth={6} />}
      {!toHalf && (
        <path
          d={arc(k.snugToPitch, k.snugToPitch + k.perSemitone)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={6}
        />
      )}
      <path d={`M${spot(breaking, -6)}L${spot(breaking, 6)}`} stroke="var(--ochre)" strokeWidth={3} />
      <g fontSize={9.5} fill="var(--ink)" textAnchor="middle">
        <text x={0} y={-RADIUS + 19}>
          snug
        </text>
        <text x={0} y={24} fill="var(--soft)">
          turn {clockwise ? 'clockwise' : 'anticlockwise'}
        </text>
      </g>
      {toHalf && <Mark at={spot(k.snugToHalf, 20)} word="half" />}
      <Mark at={spot(k.snugToPitch, 20)} word="pitch" />
      {k.toBreaking > 24 && <Mark at={spot(breaking, 20)} word="breaks" ochre />}
    </svg>
  )
}

function Mark({ at, word, ochre = false }: { at: string; word: string; ochre?: boolean }) {
  const [x, y] = at.split(',')
  return (
    <text
      x={x}
      y={y}
      fontSize={9.5}
      textAnchor="middle"
      dominantBaseline="central"
      fontWeight={600}
      fill={ochre ? 'var(--ochre)' : 'var(--verdigris)'}
    >
      {word}
    </text>
  )
}
