import type { StringPosition } from '@/core/instrument/instrument'
import { signed } from '@/core/pitch/cents'

interface RoundDrawingProps {
  readonly positions: readonly StringPosition[]
  /** Where each was found, cents; null where it was not heard yet. */
  readonly found: readonly (number | null)[]
  /** Where each is taken to stand now, cents; null where nothing is known. */
  readonly standing: readonly (number | null)[]
  readonly within: number
  /** The string whose turn it is; null when none is. */
  readonly now: number | null
  readonly describedAs: string
  readonly onPick?: (string: number) => void
}

const WIDTH = 960
const HEIGHT = 190
const EDGE = 44
const TOP = 18
const BOTTOM = 26
/** Cents that the sheet always shows, either way. */
const LEAST_SPAN = 12

/** Every string of an instrument by its place in the row: how far it was found from where it belongs, and where it is now. */
export function RoundDrawing({
  positions,
  found,
  standing,
  within,
  now,
  describedAs,
  onPick,
}: RoundDrawingProps) {
  const known = [...found, ...standing].filter((at) => at !== null)
  const span = Math.min(300, Math.max(LEAST_SPAN, ...known.map(Math.abs)) * 1.1)
  const step = (WIDTH - 2 * EDGE) / positions.length
  const x = (i: number) => EDGE + (i + 0.5) * step
  const middle = TOP + (HEIGHT - TOP - BOTTOM) / 2
  const y = (cents: number) =>
    middle - (Math.max(-span, Math.min(span, cents)) / span) * ((HEIGHT - TOP - BOTTOM) / 2)
  const tick = span > 150 ? 100 : span > 60 ? 50 : span > 25 ? 20 : 5
  const ticks = Array.from(
    { length: 2 * Math.floor(span / tick) + 1 },
    (_, k) => (k - Math.floor(span / tick)) * tick,
  )
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full min-w-[34rem]"
      role="img"
      aria-label={describedAs}
    >
      <rect
        x={EDGE}
        width={WIDTH - 2 * EDGE}
        y={y(within)}
        height={y(-within) - y(within)}
        fill="var(--verdigris)"
        opacity={0.14}
      />
      {ticks.map((cents) => (
        <g key={cents}>
          <line
            x1={EDGE}
            x2={WIDTH - EDGE}
            y1={y(cents)}
            y2={y(cents)}
            stroke="var(--rule)"
            strokeWidth={cents === 0 ? 2 : 1}
          />
          <text x={EDGE - 6} y={y(cents) + 4} fontSize={12} textAnchor="end" fill="var(--soft)">
            {signed(cents)}
          </text>
        </g>
      ))}
      {positions.map(({ number, called, colour }, i) => {
        const [was, is] = [found[i] ?? null, standing[i] ?? null]
        const tint =
          colour === 'red' ? 'var(--string-c)' : colour === 'natural' ? 'var(--ink)' : 'var(--string-f)'
        return (
          <g key={number} onClick={onPick && (() => onPick(i))} className={onPick ? 'cursor-pointer' : ''}>
            <rect
              x={x(i) - step / 2}
              y={TOP}
              width={step}
              height={HEIGHT - TOP - BOTTOM}
              fill={i === now ? 'var(--ochre)' : 'transparent'}
              opacity={i === now ? 0.22 : 1}
            />
            {was !== null && (
              <line
                x1={x(i) - step * 0.32}
                x2={x(i) + step * 0.32}
                y1={y(was)}
                y2={y(was)}
                stroke="var(--soft)"
                strokeWidth={2}
              />
            )}
            {was !== null && is !== null && (
              <line
                x1={x(i)}
                x2={x(i)}
                y1={y(was)}
                y2={y(is)}
                stroke={tint}
                strokeWidth={1.5}
                opacity={0.5}
              />
            )}
            {is !== null && <circle cx={x(i)} cy={y(is)} r={Math.min(5, step * 0.3)} fill={tint} />}
            {(i === 0 || (i + 1) % 5 === 0 || i === now) && (
              <text
                x={x(i)}
                y={HEIGHT - 8}
                fontSize={12}
                textAnchor="middle"
                fontWeight={i === now ? 700 : 400}
                fill="var(--ink)"
              >
                {called.number}
              </text>
            )}
          </g>
        )
      })}
    </svg>
  )
}
