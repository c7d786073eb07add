import { tintClass } from './tint'
import type { StringPosition } from '@/core/instrument/instrument'
import { signed } from '@/core/pitch/cents'

interface CentsRulerProps {
  readonly position: StringPosition
  /** Where it stands, cents from where it should; null where nothing is heard. */
  readonly cents: number | null
  /** One standard deviation, cents. */
  readonly error: number
  /** Where it is to be left, cents from pitch; at pitch where nothing else is said. */
  readonly aim?: number
}

const WIDTH = 720
const HEIGHT = 210
const EDGE = 34
const RULE = 150
/** So far either way the ruler is one of cents; further off it is one of semitones. */
export const NEAR = 60
const FURTHEST = -2400
const SHARPEST = 300

/** The string itself against a drawn ruler: cents where it is near, semitones while it is being raised. */
export function CentsRuler({ position, cents, error, aim = 0 }: CentsRulerProps) {
  const near = cents === null || Math.abs(cents) <= NEAR
  const [low, high] = near ? [-NEAR, NEAR] : [FURTHEST, SHARPEST]
  const x = (at: number) =>
    EDGE + ((Math.min(high, Math.max(low, at)) - low) / (high - low)) * (WIDTH - 2 * EDGE)
  const [small, large] = near ? [2, 10] : [100, 300]
  const ticks = Array.from({ length: Math.round((high - low) / small) + 1 }, (_, i) => low + i * small)
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden>
      <rect
        x={EDGE - 26}
        y={RULE}
        width={WIDTH - 2 * EDGE + 52}
        height={44}
        fill="color-mix(in srgb, var(--wood) 40%, var(--paper))"
        stroke="var(--wood-line)"
      />
      {ticks.map((at) => (
        <line
          key={at}
          x1={x(at)}
          x2={x(at)}
          y1={RULE}
          y2={RULE + (at % large === 0 ? 16 : 8)}
          stroke="var(--ink)"
          strokeWidth={at === 0 ? 3 : 1}
        />
      ))}
      {ticks
        .filter((at) => at % large === 0)
        .map((at) => (
          <text key={at} x={x(at)} y={RULE + 34} fontSize={15} textAnchor="middle" fill="var(--ink)">
            {near ? signed(at) : signed(at / 100)}
          </text>
        ))}
      {/* Where it should be: a groove that the string falls into. */}
      <path
        d={`M${x(aim) - 26},14H${x(aim) - 7}q7,14 14,0H${x(aim) + 26}`}
        fill="none"
        stroke="var(--verdigris)"
        strokeWidth={4}
        strokeLinecap="round"
      />
      <line
        x1={x(aim)}
        x2={x(aim)}
        y1={26}
        y2={RULE}
        stroke="var(--verdigris)"
        strokeDasharray="2 7"
        strokeWidth={2}
      />
      {cents !== null && (
        <g className={tintClass(position)}>
          <rect
            x={x(cents - 2 * error)}
            width={Math.max(1, x(cents + 2 * error) - x(cents - 2 * error))}
            y={24}
            height={RULE - 24}
            fill="currentColor"
            opacity={0.22}
          />
          <line x1={x(cents)} x2={x(cents)} y1={18} y2={RULE} stroke="currentColor" strokeWidth={6} />
          <path d={`M${x(cents)},${RULE + 2}l-9,-16h18z`} fill="currentColor" />
        </g>
      )}
    </svg>
  )
}
