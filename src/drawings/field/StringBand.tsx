import type { DrawnString } from './drawn-string'
import type { FieldShape } from './field-shape'

interface StringBandProps {
  readonly shape: FieldShape
  readonly string: DrawnString
  readonly colour: string
  readonly opacity: number
}

/** A band along a string, from its pin to its foot, by which it is found among the others. */
export function StringBand({ shape, string: s, colour, opacity }: StringBandProps) {
  return (
    <line
      x1={s.x}
      x2={s.x}
      y1={s.pin}
      y2={s.foot}
      stroke={colour}
      strokeWidth={Math.max(s.weight * 1.6, (9 * shape.viewBox.height) / 620)}
      opacity={opacity}
      strokeLinecap="round"
    />
  )
}
