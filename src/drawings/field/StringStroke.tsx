import type { StringColour } from '@/core/instrument/instrument'
import type { Construction } from '@/core/strings/construction'
import { textureOf } from './texture'

interface StringStrokeProps {
  readonly construction: Construction
  readonly colour: StringColour
  readonly x: number
  readonly from: number
  readonly to: number
  /** Width in the drawing's units. */
  readonly weight: number
}

/** One string as a vertical line: its tint is the material's, or red or blue-black for C and F; its marks are the surface's. */
export function StringStroke({ construction, colour, x, from, to, weight }: StringStrokeProps) {
  const { surface, tint, light } = textureOf(construction)
  const base =
    colour === 'red' ? 'var(--string-c)' : colour === 'natural' ? `var(--${tint})` : 'var(--string-f)'
  const mark = colour === 'natural' ? `var(--${light})` : 'var(--paper)'
  const at = { x1: x, x2: x, y1: from, y2: to }
  return (
    <g>
      <line {...at} stroke={base} strokeWidth={weight} />
      {surface === 'ribbed' && (
        <line
          {...at}
          stroke={mark}
          strokeWidth={weight * 0.86}
          strokeDasharray={`${weight * 0.35} ${weight * 0.75}`}
          opacity={colour === 'natural' ? 0.75 : 0.4}
        />
      )}
      {surface === 'twisted' && <line {...at} stroke={mark} strokeWidth={weight * 0.24} opacity={0.55} />}
      {surface === 'clear' && <line {...at} stroke={mark} strokeWidth={weight * 0.42} opacity={0.85} />}
      {surface === 'bright' && (
        <line
          x1={x - weight * 0.18}
          x2={x - weight * 0.18}
          y1={from}
          y2={to}
          stroke={mark}
          strokeWidth={weight * 0.3}
        />
      )}
    </g>
  )
}
