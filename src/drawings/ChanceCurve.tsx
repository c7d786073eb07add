import { ageing, chanceBand, chanceItBreaks } from '@/core/wear/life'
import type { Rate } from '@/core/wear/life-class'

interface ChanceCurveProps {
  readonly rate: Rate
  /** Of the string now, years, and how fast it ages. */
  readonly age: number
  readonly pace: number
  /** The time that is asked for, years. */
  readonly asked: number
}

const [WIDTH, HEIGHT] = [420, 150]
const [LEFT, RIGHT, TOP, FLOOR] = [44, 410, 10, 122]
const POINTS = 40

/** The chance that a string has broken by then, over the years ahead, within the band that its rate leaves open. */
export function ChanceCurve({ rate, age, pace, asked }: ChanceCurveProps) {
  const years = Math.max(2, asked)
  const at = (t: number) => ageing(rate.shape, [{ from: age, to: age + t, pace }])
  const x = (t: number) => LEFT + ((RIGHT - LEFT) * t) / years
  const y = (chance: number) => FLOOR - (FLOOR - TOP) * chance
  const times = Array.from({ length: POINTS + 1 }, (_, i) => (years * i) / POINTS)
  const line = (of: (t: number) => number) => times.map((t) => `${x(t).toFixed(1)},${y(of(t)).toFixed(1)}`)
  const low = line((t) => chanceBand(rate, at(t))[0])
  const high = line((t) => chanceBand(rate, at(t))[1])
  const chance = (t: number) => chanceItBreaks(rate, at(t))
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
