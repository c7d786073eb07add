'use client'

import type { Instrument, StringPosition } from '@/core/instrument/instrument'
import type { NeckDirection } from '@/core/instrument/neck'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { Handle } from './drag/Handle'
import { useDrag } from './drag/use-drag'
import { pinsOutward } from './pins-outward'

/** Pins that are drawn beyond an octave. */
const MORE = 1

interface PinchDrawingProps {
  readonly instrument: Instrument
  readonly position: StringPosition
  readonly toward: NeckDirection
  /** How far along the neck the pinch reaches, in pins. */
  readonly pins: number
  readonly most: number
  /** Where it should have been, in pins; null while it is asked. */
  readonly wanted: number | null
  readonly onPins: (pins: number) => void
  readonly title: string
  readonly className?: string
}

/** The pins of the neck, to scale, and how far the pinched string reaches along them: dragged to and fro. */
export function PinchDrawing(props: PinchDrawingProps) {
  const { instrument, position, toward, pins, most, wanted, onPins, title, className } = props
  const step = toward === 'toward the bass' ? 1 : -1
  const count = Math.min(Math.ceil(most) + MORE, instrument.positions.length)
  const { pins: points, own } = pinsOutward(instrument, position, step, count)
  const along = points.slice(own)
  const drag = useDrag(({ x, y }) => onPins(nearestAlong(along, x, y)))
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  const [left, top] = [Math.min(...xs) - 16, Math.min(...ys) - 20]
  const [width, height] = [Math.max(...xs) - left + 16, Math.max(...ys) - top + 20]
  const scale = Math.max(width, height) / 260
  const hand = atPins(along, pins)
  const right = wanted === null ? null : atPins(along, wanted)
  return (
    <svg
      viewBox={`${left} ${top} ${width} ${height}`}
      className={className}
      role="img"
      aria-label={title}
      style={{ touchAction: 'none' }}
    >
      <path
        d={`M${points.map((p) => `${p.x},${p.y}`).join('L')}`}
        fill="none"
        stroke="var(--wood)"
        strokeWidth={22 * scale}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path
        d={`M${[...along.slice(0, Math.floor(pins) + 1), hand].map((p) => `${p.x},${p.y}`).join('L')}`}
        fill="none"
        stroke="var(--verdigris)"
        strokeWidth={4 * scale}
        strokeLinejoin="round"
      />
      {points.map((p) => (
        <circle
          key={p.number}
          cx={p.x}
          cy={p.y}
          r={4 * scale}
          fill={p.number === position.number ? 'var(--verdigris)' : 'var(--paper)'}
          stroke="var(--ink)"
          strokeWidth={scale}
        />
      ))}
      {along.slice(1).map((p, i) => (
        <text
          key={p.number}
          x={p.x}
          y={p.y - 9 * scale}
          fontSize={9 * scale}
          textAnchor="middle"
          fill="var(--ink)"
        >
          {i + 1}
        </text>
      ))}
      {right && (
        <g>
          <circle
            cx={right.x}
            cy={right.y}
            r={8 * scale}
            fill="none"
            stroke="var(--ochre)"
            strokeWidth={2.5 * scale}
          />
          <text x={right.x + 13 * scale} y={right.y + 4 * scale} fontSize={10 * scale} fill="var(--ink)">
            here
          </text>
        </g>
      )}
      {wanted === null && <Handle drag={drag} at={[hand.x, hand.y]} r={7 * scale} />}
    </svg>
  )
}

interface Spot {
  readonly x: number
  readonly y: number
}

/** So many pins along; past the last one the last gap goes on. */
function atPins(along: readonly Spot[], pins: number): Spot {
  const last = Math.max(0, along.length - 2)
  const from = Math.min(Math.floor(pins), last)
  const [a, b] = [itemAt(along, from), requireValue(along[from + 1] ?? along[from])]
  return { x: a.x + (b.x - a.x) * (pins - from), y: a.y + (b.y - a.y) * (pins - from) }
}

/** The count of pins whose place is nearest to a point. */
function nearestAlong(along: readonly Spot[], x: number, y: number): number {
  let best = { pins: 0, away: Infinity }
  for (let i = 0; i + 1 < along.length; i += 1) {
    const [a, b] = [itemAt(along, i), itemAt(along, i + 1)]
    const long = (b.x - a.x) ** 2 + (b.y - a.y) ** 2 || 1
    const t = Math.max(0, Math.min(1, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / long))
    const away = Math.hypot(a.x + (b.x - a.x) * t - x, a.y + (b.y - a.y) * t - y)
    if (away < best.away) best = { pins: i + t, away }
  }
  return best.pins
}
