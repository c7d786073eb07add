import { useId } from 'react'
import type { StringColour } from '@/core/instrument/instrument'
import type { Construction } from '@/core/strings/construction'
import { textureOf } from './texture'

interface StringBodyProps {
  readonly construction: Construction
  readonly colour: StringColour
  readonly x: number
  readonly from: number
  readonly to: number
  readonly width: number
}

/** A string seen close: twisted fibres, clear nylon, the ribs of a wrap, or bright wire; rounded by its shading. */
export function StringBody({ construction, colour, x, from, to, width }: StringBodyProps) {
  const id = useId()
  const { surface, tint, light } = textureOf(construction)
  const base =
    colour === 'red' ? 'var(--string-c)' : colour === 'natural' ? `var(--${tint})` : 'var(--string-f)'
  const mark = colour === 'natural' ? `var(--${light})` : `color-mix(in srgb, ${base} 55%, var(--paper))`
  const box = { x: x - width / 2, y: from, width, height: to - from }
  const pitch = surface === 'ribbed' ? Math.max(2.2, width * 0.32) : Math.max(3.4, width * 0.55)
  return (
    <g>
      <defs>
        <pattern
          id={`${id}-mark`}
          width={pitch}
          height={pitch}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${surface === 'ribbed' ? 80 : 38})`}
        >
          <line
            x1={0}
            x2={0}
            y1={0}
            y2={pitch}
            stroke={mark}
            strokeWidth={pitch * (surface === 'ribbed' ? 0.9 : 0.55)}
          />
        </pattern>
        <linearGradient id={`${id}-round`}>
          <stop offset="0" stopColor="#000" stopOpacity={0.34} />
          <stop
            offset="0.3"
            stopColor="#fff"
            stopOpacity={surface === 'bright' || surface === 'clear' ? 0.7 : 0.22}
          />
          <stop offset="0.6" stopColor="#000" stopOpacity={0} />
          <stop offset="1" stopColor="#000" stopOpacity={0.42} />
        </linearGradient>
      </defs>
      <rect {...box} fill={surface === 'clear' && colour === 'natural' ? mark : base} />
      {(surface === 'twisted' || surface === 'ribbed') && <rect {...box} fill={`url(#${id}-mark)`} />}
      <rect {...box} fill={`url(#${id}-round)`} />
      {surface === 'clear' && colour === 'natural' && (
        <rect {...box} fill="none" stroke={base} strokeWidth={0.7} />
      )}
    </g>
  )
}
