import { chanceItBreaks } from '@/core/wear/life'
import type { Rate } from '@/core/wear/life-class'
import { agesOver, chanceBetween, type OnSince } from '@/core/wear/on-since'
import { YEAR } from '@/core/wear/period'

interface ChanceCurveProps {
  readonly rate: Rate
  /** Since when it is on, and how fast it ages. */
  readonly on: OnSince
  readonly pace: number
  /** ms */
  readonly now: number
  /** The time that is asked for, years. */
  readonly asked: number
}

const [WIDTH, HEIGHT] = [420, 150]
const [LEFT, RIGHT, TOP, FLOOR] = [44, 410, 10, 122]
const POINTS = 40

/** The chance that a string has broken by then, over the years ahead, within the band that its rate leaves open. */
export function ChanceCurve({ rate, on, pace, now, asked }: ChanceCurveProps) {
  const years = Math.max(2, asked)
  const at = (t: number) => now + t * YEAR
  const x = (t: number) => LEFT + ((RIGHT - LEFT) * t) / years
  const y = (chance: number) => FLOOR - (FLOOR - TOP) * chance
  const times = Array.from({ length: POINTS + 1 }, (_, i) => (years * i) / POINTS)
  const line = (of: (t: number) => number) => times.map((t) => `${x(t).toFixed(1)},${y(of(t)).toFixed(1)}`)
  const bands = times.map((t) => chanceBetween(rate, pace, on, now, at(t)))
  const edge = (side: 0 | 1) =>
    times.map((t, i) => `${x(t).toFixed(1)},${y(bands[i]?.[side] ?? 0).toFixed(1)}`)
  const [low, high] = [edge(0), edge(1)]
  const chance = (t: number) => chanceItBreaks(rate, agesOver(rate, pace, on, now, at(t)))
  const percent = (share: number) => `${Math.round(share * 100)} %`
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={`Chance that it has broken: ${percent(chance(years / 2))} after ${years / 2} years, ${percent(chance(years))} after ${years}`}
    >
      <g fontSize={12} fill="var(--soft)">
        {[0, 0.5, 1].map((share) => (
          <g key={share}>
            <line x1={LEFT} x2={RIGHT} y1={y(share)} y2={y(share)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(share) + 4} textAnchor="end">
              {percent(share)}
            </text>
          </g>
        ))}
        {Array.from({ length: years + 1 }, (_, t) => (
          <text key={t} x={x(t)} y={HEIGHT - 10} textAnchor={t === 0 ? 'start' : 'middle'}>
            {t === 0 ? 'now' : t === 1 ? '1 year' : t}
          </text>
        ))}
      </g>
      <path
        d={`M${low.join('L')}L${[...high].reverse().join('L')}Z`}
        fill="var(--verdigris)"
        opacity={0.18}
      />
      <path d={`M${line(chance).join('L')}`} fill="none" stroke="var(--verdigris)" strokeWidth={2} />
      <line x1={x(asked)} x2={x(asked)} y1={TOP} y2={FLOOR} stroke="var(--ink)" strokeDasharray="3 3" />
      <circle cx={x(asked)} cy={y(chance(asked))} r={4} fill="var(--ink)" />
    </svg>
  )
}
