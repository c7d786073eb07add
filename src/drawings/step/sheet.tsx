'use client'

import type { ReactNode } from 'react'

export const WIDTH = 320
export const HEIGHT = 240

interface SheetProps {
  /** What the drawing shows, for whoever can't see it. */
  readonly title: string
  readonly children: ReactNode
  /** Under the drawing: the scale, or from where it is seen. */
  readonly note?: string
}

/** The sheet that a step's picture is drawn on, in pixels of its own; lettering has one size on all of them. */
export function Sheet({ title, note, children }: SheetProps) {
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mx-auto block max-h-80 w-full"
        role="img"
        aria-label={title}
        fontSize={13}
      >
        {children}
      </svg>
      {note && <figcaption className="text-center text-xs text-soft">{note}</figcaption>}
    </figure>
  )
}

type Spot = readonly [x: number, y: number]

/** A dimension line between two spots, level or upright, with its figure in the middle. */
export function Dimension({
  from: [x1, y1],
  to: [x2, y2],
  text,
  beside = 5,
}: {
  readonly from: Spot
  readonly to: Spot
  readonly text: string
  readonly beside?: number
}) {
  const upright = x1 === x2
  const tick = upright ? `M${x1 - 4},${y1}h8M${x2 - 4},${y2}h8` : `M${x1},${y1 - 4}v8M${x2},${y2 - 4}v8`
  return (
    <g>
      <path d={`M${x1},${y1}L${x2},${y2}${tick}`} stroke="var(--ink)" strokeWidth={1} fill="none" />
      <text
        x={upright ? x1 + beside : (x1 + x2) / 2}
        y={upright ? (y1 + y2) / 2 : y1 - beside}
        textAnchor={upright ? (beside < 0 ? 'end' : 'start') : 'middle'}
        dominantBaseline={upright ? 'central' : undefined}
        fill="var(--ink)"
        fontWeight={600}
      >
        {text}
      </text>
    </g>
  )
}

/** A word with a line to what it names. */
export function Label({
  at: [x, y],
  to: [tx, ty],
  children,
  end = false,
}: {
  readonly at: Spot
  readonly to: Spot
  readonly children: ReactNode
  readonly end?: boolean
}) {
  return (
    <g>
      <path
        d={`M${x + (end ? 3 : -3)},${y}L${tx},${ty}`}
        stroke="var(--soft)"
        strokeWidth={0.9}
        fill="none"
      />
      <circle cx={tx} cy={ty} r={1.8} fill="var(--soft)" />
      <text x={x} y={y} textAnchor={end ? 'end' : 'start'} dominantBaseline="central" fill="var(--soft)">
        {children}
      </text>
    </g>
  )
}

/** An arrow that shows which way a hand or a string goes. */
export function Arrow({ d, turns = false }: { readonly d: string; readonly turns?: boolean }) {
  return (
    <path
      d={d}
      fill="none"
      stroke="var(--ochre)"
      strokeWidth={turns ? 3 : 2.6}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
}

/** The head of an arrow at a spot, pointing along an angle in degrees, 0 to the right. */
export function arrowHead([x, y]: Spot, angle: number, size = 7): string {
  const spot = (turn: number) => {
    const a = ((angle + turn) * Math.PI) / 180
    return `${x + size * Math.cos(a)},${y + size * Math.sin(a)}`
  }
  return `M${spot(150)}L${x},${y}L${spot(-150)}`
}

export const INK = { stroke: 'var(--ink)', strokeWidth: 1.5, fill: 'none' } as const
export const PART = { stroke: 'var(--ink)', strokeWidth: 1.5, fill: 'var(--paper)' } as const
export const WOOD = { stroke: 'var(--wood-line)', strokeWidth: 1.2, fill: 'var(--wood)' } as const
export const STRING = {
  stroke: 'var(--verdigris)',
  fill: 'none',
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const
