'use client'

import { itemAt } from '@/core/list/item-at'
import { driftCents, FIRST_TUNED, retunePlan, type DriftModel } from '@/core/settle/drift'

const HOURS = [0.5, 1, 3, 6, 24, 72, 168, 336]
const WORDS: Record<number, string> = {
  0.5: '½ h',
  1: '1 h',
  3: '3 h',
  6: '6 h',
  24: '1 day',
  72: '3 days',
  168: '1 week',
  336: '2 weeks',
}
const [LEFT, RIGHT, TOP, FLOOR] = [44, 608, 14, 150]

interface DriftCurveProps {
  readonly law: DriftModel
  /** The string is brought back each time it has fallen so far, cents. */
  readonly tolerance: number
  /** Readings: age in hours, cents. */
  readonly readings: readonly { readonly age: number; readonly cents: number }[]
  readonly age: number
  readonly className?: string
}

/** How the string falls between retunes over its first two weeks; age runs in equal steps for equal factors. */
export function DriftCurve({ law, tolerance, readings, age, className }: DriftCurveProps) {
  const until = 336
  const retunes = [FIRST_TUNED, ...retunePlan(law, FIRST_TUNED, tolerance, until, 200), until]
  const deepest = Math.max(tolerance * 1.3, ...readings.map((r) => -r.cents))
  const x = (hours: number) =>
    LEFT +
    ((Math.log(hours) - Math.log(FIRST_TUNED)) / (Math.log(until) - Math.log(FIRST_TUNED))) * (RIGHT - LEFT)
  const y = (cents: number) => TOP + (-cents / deepest) * (FLOOR - TOP)
  const teeth = retunes.slice(0, -1).map((from, i) => {
    const to = itemAt(retunes, i + 1)
    const mid = Math.sqrt(from * to)
    return `M${x(from)},${y(0)}L${x(mid)},${y(driftCents(law, from, mid))}L${x(to)},${y(driftCents(law, from, to))}`
  })
  return (
    <svg
      viewBox="0 0 640 182"
      className={className}
      role="img"
      aria-label={`How it falls: each time by ${tolerance} cents, ${retunes.length - 2} retunes in two weeks`}
    >
      <g fontSize={12} fill="var(--soft)">
        <line x1={LEFT} x2={RIGHT} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={1} />
        <line
          x1={LEFT}
          x2={RIGHT}
          y1={y(-tolerance)}
          y2={y(-tolerance)}
          stroke="var(--ochre)"
          strokeDasharray="5 4"
        />
        <text x={LEFT - 6} y={y(0)} textAnchor="end" dominantBaseline="central">
          0
        </text>
        <text x={LEFT - 6} y={y(-tolerance)} textAnchor="end" dominantBaseline="central">
          −{tolerance}
        </text>
        {HOURS.map((hours) => (
          <g key={hours}>
            <line x1={x(hours)} x2={x(hours)} y1={FLOOR} y2={FLOOR + 5} stroke="var(--line)" />
            <text x={x(hours)} y={FLOOR + 18} textAnchor="middle">
              {WORDS[hours]}
            </text>
          </g>
        ))}
        <line x1={LEFT} x2={RIGHT} y1={FLOOR} y2={FLOOR} stroke="var(--line)" />
      </g>
      <path d={teeth.join('')} fill="none" stroke="var(--verdigris)" strokeWidth={2} />
      {age >= FIRST_TUNED && age <= until && (
        <line
          x1={x(age)}
          x2={x(age)}
          y1={TOP - 8}
          y2={FLOOR}
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray="2 3"
        />
      )}
      {readings
        .filter((r) => r.age <= until && r.age >= FIRST_TUNED)
        .map((r) => (
          <path
            key={r.age}
            d={`M${x(r.age)},${y(r.cents) - 5}l5,5l-5,5l-5,-5z`}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        ))}
    </svg>
  )
}
