import { itemAt } from '@/core/list/item-at'
import { measure } from '@/core/measure'
import { measureText, type Units } from '@/ui/format/measure'
import { spread } from '@/drawings/spread'

export interface GaugeMark {
  readonly label: string
  /** m */
  readonly gauge: number
  readonly kind: 'new' | 'chart' | 'neighbour' | 'old'
}

const WIDTH = 640
const EDGE = 40
const STROKES = {
  new: 'var(--verdigris)',
  chart: 'var(--ink)',
  neighbour: 'var(--line)',
  old: 'var(--ochre)',
} as const

/** The gauges side by side on one magnified rule: the new string among its chart, its neighbours and the old one. */
export function GaugeRule({ marks, units }: { readonly marks: readonly GaugeMark[]; readonly units: Units }) {
  const sorted = [...marks].sort((a, b) => a.gauge - b.gauge)
  const [least, most] = [sorted[0]?.gauge ?? 0, sorted.at(-1)?.gauge ?? 1]
  const room = Math.max(2e-5, (most - least) * 0.12)
  const share = (gauge: number) => (gauge - least + room) / (most - least + 2 * room)
  const places = spread(
    sorted.map(({ gauge }) => share(gauge)),
    0.155,
  )
  const x = (at: number) => EDGE + at * (WIDTH - 2 * EDGE)
  return (
    <svg
      viewBox={`0 36 ${WIDTH} 96`}
      className="w-full"
      role="img"
      aria-label={`Gauges in order: ${sorted.map(({ label, gauge }) => `${label} ${measureText(measure('gauge', gauge), units)}`).join(', ')}`}
    >
      <line x1={8} x2={WIDTH - 8} y1={72} y2={72} stroke="var(--ink)" strokeWidth={1} />
      {sorted.map(({ label, gauge, kind }, i) => {
        const at = x(share(gauge))
        const text = x(itemAt(places, i))
        const isNew = kind === 'new'
        return (
          <g key={label}>
            <line
              x1={at}
              x2={at}
              y1={isNew ? 44 : 62}
              y2={82}
              stroke={STROKES[kind]}
              strokeWidth={isNew ? 4 : 2}
              strokeDasharray={kind === 'old' ? '4 3' : undefined}
            />
            <path d={`M${at},82L${text},94`} stroke="var(--rule)" fill="none" />
            <text
              x={text}
              y={107}
              textAnchor="middle"
              fontSize={14}
              fontWeight={isNew ? 700 : 550}
              fill="var(--ink)"
            >
              {measureText(measure('gauge', gauge), units)}
            </text>
            <text x={text} y={123} textAnchor="middle" fontSize={11.5} fill="var(--soft)">
              {label}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
