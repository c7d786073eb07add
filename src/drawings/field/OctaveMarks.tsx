import { memo } from 'react'
import { itemAt } from '@/core/list/item-at'
import { requireValue } from '@/core/list/require-value'
import { harpOctaveOf, ordinal } from '@/core/pitch/harp-octave'
import type { DrawnString } from './drawn-string'
import type { FieldShape } from './field-shape'

/** The harp octaves as brackets along the strings' lower ends, each from its E down to its F. */
export const OctaveMarks = memo(function OctaveMarks({ shape }: { shape: FieldShape }) {
  const scale = shape.viewBox.height / 620
  // Only harpists count in octaves.
  if (shape.strings[0]?.position.called.by !== 'harp octave') return null
  const out = outward(shape.strings)
  const beside = (s: DrawnString, by: number) => `${s.x + out.x * by * scale},${s.foot + out.y * by * scale}`
  return (
    <g aria-hidden stroke="var(--soft)" strokeWidth={1.1 * scale} fill="none">
      {octavesOf(shape.strings).map(({ octave, strings }) => {
        const [treble, bass] = [itemAt(strings, 0), requireValue(strings.at(-1))]
        const label = {
          x: (treble.x + bass.x) / 2 + out.x * 24 * scale,
          y: (treble.foot + bass.foot) / 2 + out.y * 24 * scale,
        }
        return (
          <g key={octave}>
            <path
              d={`M${beside(treble, 5)}L${strings.map((s) => beside(s, 11)).join('L')}L${beside(bass, 5)}`}
            />
            <text
              x={label.x}
              y={label.y}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize={11 * scale}
              fill="var(--soft)"
              stroke="none"
            >
              {ordinal(octave)}
            </text>
          </g>
        )
      })}
    </g>
  )
})

/** Square to the line of the lower ends, away from the strings. */
function outward(strings: readonly DrawnString[]): { readonly x: number; readonly y: number } {
  const [treble, bass] = [itemAt(strings, 0), requireValue(strings.at(-1))]
  const [along, down] = [treble.x - bass.x, treble.foot - bass.foot]
  const length = Math.hypot(along, down) || 1
  return { x: -down / length, y: along / length }
}

/** Neighbouring strings of one harp octave, shortest first. */
function octavesOf(
  strings: readonly DrawnString[],
): readonly { octave: number; strings: readonly DrawnString[] }[] {
  const octaves = [...new Set(strings.map((s) => harpOctaveOf(s.position.note)))]
  return octaves.map((octave) => ({
    octave,
    strings: strings.filter((s) => harpOctaveOf(s.position.note) === octave),
  }))
}
