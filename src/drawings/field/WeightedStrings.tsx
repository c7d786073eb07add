import { memo } from 'react'
import type { FieldShape } from './field-shape'

interface WeightedStringsProps {
  readonly shape: FieldShape
  /** By position number, 0 to 1. */
  readonly weights: Readonly<Record<number, number>>
}

/** A band along each string, the heavier the likelier it is meant. */
export const WeightedStrings = memo(function WeightedStrings({ shape, weights }: WeightedStringsProps) {
  const scale = shape.viewBox.height / 620
  const heaviest = Math.max(...Object.values(weights), 1e-9)
  return (
    <g aria-hidden>
      {shape.strings.map((s) => {
        const weight = weights[s.position.number] ?? 0
        if (weight < 0.005) return null
        const share = weight / heaviest
        return (
          <line
            key={s.position.number}
            x1={s.x}
            x2={s.x}
            y1={s.pin}
            y2={s.foot}
            stroke="var(--verdigris)"
            strokeWidth={(3 + 9 * share) * scale}
            opacity={0.15 + 0.55 * share}
            strokeLinecap="round"
          />
        )
      })}
    </g>
  )
})
