import type { Instrument } from '@/core/instrument/instrument'
import type { DrawnString } from './drawn-string'
import { fieldShape, type FieldShape } from './field-shape'
import { textureOf } from './texture'

interface MiniatureProps {
  readonly instrument: Instrument
  /** Numbers of the positions whose string is gone. */
  readonly broken: readonly number[]
  readonly className?: string
}

/**
 * An instrument's string field as small as a thumb: its wood and its strings, to scale, in as few strokes as there are
 * tints. It is drawn where the instrument is read, so that a list of many need not carry their charts along.
 */
export function Miniature({ instrument, broken, className }: MiniatureProps) {
  const shape = shapeOf(instrument)
  const { viewBox } = shape
  return (
    <svg
      className={className}
      viewBox={[viewBox.x, viewBox.y, viewBox.width, viewBox.height].map(Math.round).join(' ')}
      role="img"
      aria-label={`${instrument.name}, ${instrument.positions.length} strings`}
    >
      <path
        d={shape.wood.map(rounded).join('')}
        fill="color-mix(in srgb, var(--wood) 45%, var(--paper))"
        stroke="var(--wood-line)"
        strokeWidth={2}
      />
      <path d={shape.lines.map(rounded).join('')} fill="none" stroke="var(--wood-line)" strokeWidth={3} />
      <Feet shape={shape} />
      {[...strokes(shape, broken)].map(([look, path]) => {
        const [tint, weight] = look.split(' ')
        return <path key={look} d={path} stroke={`var(--${tint})`} strokeWidth={weight} />
      })}
      <path
        d={shape.strings
          .filter((s) => broken.includes(s.position.number))
          .map(snapped)
          .join('')}
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={8}
        strokeLinecap="round"
      />
    </svg>
  )
}

const SHAPES = new WeakMap<Instrument, FieldShape>()

/** The shape of an instrument, worked out once for as long as its chart is as it is. */
function shapeOf(instrument: Instrument): FieldShape {
  const known = SHAPES.get(instrument) ?? fieldShape(instrument)
  SHAPES.set(instrument, known)
  return known
}

/** Strings of one tint and about one weight, as one path. */
function strokes({ strings }: FieldShape, broken: readonly number[]): ReadonlyMap<string, string> {
  const paths = new Map<string, string>()
  for (const s of strings) {
    if (broken.includes(s.position.number)) continue
    const look = `${tintOf(s)} ${Math.max(1.2, Math.round(s.weight * 2) / 2)}`
    const line = `M${Math.round(s.x)} ${Math.round(s.pin)}V${Math.round(Math.max(s.tail, s.foot))}`
    paths.set(look, (paths.get(look) ?? '') + line)
  }
  return paths
}

function tintOf({ position }: DrawnString): string {
  if (position.colour === 'red') return 'string-c'
  return position.colour === 'natural' ? textureOf(position.construction).tint : 'string-f'
}

function Feet({ shape: { feet } }: { readonly shape: FieldShape }) {
  return feet.map((foot) => (
    <circle
      key={foot.x}
      cx={Math.round(foot.x)}
      cy={Math.round(foot.y)}
      r={Math.round(foot.layers.at(-1)?.radius ?? foot.radius)}
      fill="color-mix(in srgb, var(--wood) 70%, var(--paper))"
      stroke="var(--wood-line)"
    />
  ))
}

/** Two loose ends with a gap between them. */
function snapped(s: DrawnString): string {
  const [x, top, bottom] = [s.x, s.bridge, s.tail].map(Math.round) as [number, number, number]
  const middle = Math.round((top + bottom) / 2)
  const gap = Math.round(Math.min(40, (bottom - top) * 0.16))
  return `M${x} ${top}V${middle - gap}q0 ${gap / 2} ${gap / 2} ${gap / 2}M${x} ${bottom}V${middle + gap}q0 ${-gap / 2} ${-gap / 2} ${-gap / 2}`
}

/** A path to the millimetre. */
function rounded(path: string): string {
  return path.replace(/-?\d+\.\d+/g, (number) => String(Math.round(Number(number))))
}
