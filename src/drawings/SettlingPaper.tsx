import { itemAt } from '@/core/list/item-at'
import { FIRST_TUNED, fallenInAll, SETTLED, type DriftModel } from '@/core/settle/drift'

const AGES = [
  [0.25, '¼ h'],
  [1, '1 h'],
  [6, '6 h'],
  [24, '1 day'],
  [72, '3 days'],
  [240, '10 days'],
  [SETTLED, '45 days'],
] as const
const [LEFT, RIGHT, TOP, FLOOR] = [52, 560, 30, 318]
/** Names at the right stand at least so far apart, px. */
const APART = 17

/** One string on the paper. */
export interface PaperString {
  readonly key: string
  /** At its line’s end; empty for none. */
  readonly label: string
  readonly law: DriftModel
  /** Age now, h. */
  readonly age: number
  readonly points: readonly { readonly age: number; readonly fallen: number; readonly isSlip: boolean }[]
  /** Age when it was last tuned, and what it had fallen by then; its law goes on from there. */
  readonly tuned: { readonly age: number; readonly fallen: number }
  readonly tone: 'gut' | 'nylon' | 'wire'
  readonly isSlipping: boolean
}

interface SettlingPaperProps {
  readonly strings: readonly PaperString[]
  /** Where one of them will stand: four readings of five lie between least and most. */
  readonly band?: readonly { readonly age: number; readonly least: number; readonly most: number }[]
  readonly describedAs: string
  readonly className?: string
}

const STROKES = { gut: 'var(--ink)', nylon: 'var(--verdigris)', wire: 'var(--line)' } as const
const DASHES = { gut: undefined, nylon: undefined, wire: '7 4' } as const

/**
 * Strings that settle, on paper ruled for it: age runs to the right in equal steps for equal factors, so that a string that
 * keeps to the law goes down along a straight line. Each is drawn
 * through its readings as far as it is old, and dotted from there as its law goes on.
 */
export function SettlingPaper({ strings, band = [], describedAs, className }: SettlingPaperProps) {
  const lowest = Math.max(
    40,
    ...strings.flatMap((string) => [fallenBy(string, SETTLED), ...string.points.map(({ fallen }) => fallen)]),
    ...band.map(({ most }) => most),
  )
  const deepest = 1.04 * lowest
  // Names at the right need their room; one string alone needs none.
  const width = strings.some(({ label }) => label !== '') ? 760 : RIGHT + 30
  const step = [10, 20, 50, 100, 200, 500].find((one) => deepest / one <= 7) ?? 1000
  const x = (age: number) =>
    LEFT +
    (Math.log(Math.min(SETTLED, Math.max(FIRST_TUNED, age)) / FIRST_TUNED) /
      Math.log(SETTLED / FIRST_TUNED)) *
      (RIGHT - LEFT)
  const y = (fallen: number) => TOP + (Math.max(-step / 3, fallen) / deepest) * (FLOOR - TOP)
  const line = (along: readonly { readonly age: number; readonly fallen: number }[]) =>
    along
      .map(({ age, fallen }, i) => `${i === 0 ? 'M' : 'L'}${x(age).toFixed(1)},${y(fallen).toFixed(1)}`)
      .join('')
  const byLaw = (string: PaperString, from: number, to: number) =>
    [...Array(13).keys()]
      .map((i) => from * (Math.max(from * 1.001, to) / from) ** (i / 12))
      .map((age) => ({ age, fallen: fallenBy(string, age) }))
  const ends = apart(strings.map((string) => y(fallenBy(string, SETTLED))))
  return (
    <svg viewBox={`0 0 ${width} 352`} className={className} role="img" aria-label={describedAs}>
      <g fontSize={13} fill="var(--soft)">
        {AGES.map(([age, word]) => (
          <g key={age}>
            <line x1={x(age)} x2={x(age)} y1={TOP} y2={FLOOR} stroke="var(--rule)" />
            <text x={x(age)} y={FLOOR + 20} textAnchor="middle">
              {word}
            </text>
          </g>
        ))}
        {[...Array(Math.floor(deepest / step) + 1).keys()].map((i) => (
          <g key={i}>
            <line
              x1={LEFT}
              x2={RIGHT}
              y1={y(i * step)}
              y2={y(i * step)}
              stroke={i === 0 ? 'var(--ink)' : 'var(--rule)'}
            />
            <text x={LEFT - 8} y={y(i * step)} textAnchor="end" dominantBaseline="central">
              {i === 0 ? '0' : `−${i * step}`}
            </text>
          </g>
        ))}
        <text x={LEFT - 44} y={TOP - 14}>
          cents fallen in all
        </text>
      </g>
      {band.length > 0 && (
        <path
          d={`M${band.map(({ age, least }) => `${x(age)},${y(least)}`).join('L')}L${[...band]
            .reverse()
            .map(({ age, most }) => `${x(age)},${y(most)}`)
            .join('L')}Z`}
          fill="var(--verdigris-wash)"
        />
      )}
      {strings.map((string, i) => {
        const { key, label, age, points, tuned, tone, isSlipping } = string
        const stroke = isSlipping ? 'var(--ochre)' : STROKES[tone]
        return (
          <g key={key} fill="none" stroke={stroke} strokeWidth={2}>
            <path
              d={line([
                { age: FIRST_TUNED, fallen: 0 },
                ...points.filter((point) => point.age <= tuned.age),
                ...byLaw(string, Math.max(FIRST_TUNED, tuned.age), age),
              ])}
              strokeDasharray={DASHES[tone]}
            />
            {age < SETTLED && (
              <path
                d={line(byLaw(string, Math.max(FIRST_TUNED, age), SETTLED))}
                strokeWidth={1}
                strokeDasharray="2 4"
              />
            )}
            <circle cx={x(age)} cy={y(fallenBy(string, age))} r={4.5} fill={stroke} />
            {points.map((point) => (
              <path
                key={point.age}
                d={`M${x(point.age)},${y(point.fallen) - 6}l6,6l-6,6l-6,-6z`}
                fill={point.isSlip ? 'var(--ochre)' : 'var(--paper)'}
                stroke={point.isSlip ? 'var(--ochre)' : 'var(--ink)'}
                strokeWidth={1.6}
              />
            ))}
            {label !== '' && (
              <>
                <path
                  d={`M${RIGHT},${y(fallenBy(string, SETTLED))}L${RIGHT + 18},${ends[i]}`}
                  strokeWidth={1}
                  stroke="var(--line)"
                />
                <text
                  x={RIGHT + 22}
                  y={ends[i]}
                  dominantBaseline="central"
                  fontSize={13}
                  stroke="none"
                  fill={isSlipping ? 'var(--ochre)' : 'var(--ink)'}
                >
                  {label}
                </text>
              </>
            )}
          </g>
        )
      })}
    </svg>
  )
}

/** What a string has fallen in all at an age since it was last tuned, by its law. */
function fallenBy({ law, tuned }: PaperString, age: number): number {
  return tuned.fallen + fallenInAll(law, Math.max(tuned.age, age)) - fallenInAll(law, tuned.age)
}

/** Heights moved no further than they must be, so that names do not run into each other. */
function apart(heights: readonly number[]): readonly number[] {
  const order = heights.map((_, i) => i).sort((a, b) => itemAt(heights, a) - itemAt(heights, b))
  const placed: number[] = []
  let above = -Infinity
  for (const i of order) {
    above = Math.max(itemAt(heights, i), above + APART)
    placed[i] = above
  }
  // What was pushed below the paper comes back up, from the lowest.
  let below = FLOOR
  for (const i of [...order].reverse()) {
    placed[i] = Math.min(itemAt(placed, i), below)
    below = (placed[i] as number) - APART
  }
  return placed
}
