import type { Retention } from '@/core/practice/measured'

interface ForgettingCurveProps {
  readonly kept: readonly Retention[]
  readonly className?: string
}

/** Room for the figures beside and below, and the field itself. */
const [LEFT, TOP, WIDTH, HEIGHT] = [42, 8, 292, 120]
const [FIRST, LAST] = [0.7, 200]
const MARKED = [1, 7, 30, 90] as const

/** By the logarithm of the days: what is forgotten goes fast at first. */
const xOf = (days: number) => LEFT + (WIDTH * Math.log(days / FIRST)) / Math.log(LAST / FIRST)
const yOf = (share: number) => TOP + HEIGHT * (1 - share)
/** The middle of a span of days, by proportion. */
const middleOf = ([from, to]: Retention['days']) => Math.sqrt(Math.max(FIRST, from) * Math.min(LAST, to))

/** What was still known after so many days, each with where the true share lies, and what was expected of it. */
export function ForgettingCurve({ kept, className }: ForgettingCurveProps) {
  const expected = kept.map(({ days, expected: share }) => `${xOf(middleOf(days))},${yOf(share)}`)
  return (
    <svg
      viewBox={`0 0 ${LEFT + WIDTH + 6} ${TOP + HEIGHT + 26}`}
      className={className}
      role="img"
      aria-label={`Still known: ${kept.map(({ days, share }) => `after ${Math.round(middleOf(days))} days ${share.right} of ${share.of}`).join(', ')}.`}
    >
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <path d={`M${LEFT},${yOf(share)}h${WIDTH}`} stroke="var(--rule)" strokeWidth={1} />
          <text x={LEFT - 5} y={yOf(share) + 4} fontSize={11} textAnchor="end" fill="var(--soft)">
            {100 * share} %
          </text>
        </g>
      ))}
      {MARKED.map((days) => (
        <text
          key={days}
          x={xOf(days)}
          y={TOP + HEIGHT + 16}
          fontSize={11}
          textAnchor="middle"
          fill="var(--soft)"
        >
          {days === 1 ? '1 day' : days}
        </text>
      ))}
      {expected.length > 1 && (
        <path
          d={`M${expected.join('L')}`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.5}
          strokeDasharray="4 3"
        />
      )}
      {kept.map(({ days, share: { right, of, band } }) => {
        const x = xOf(middleOf(days))
        return (
          <g key={days[0]}>
            <path
              d={`M${x},${yOf(band[0])}V${yOf(band[1])}`}
              stroke="var(--verdigris)"
              strokeWidth={7}
              opacity={0.35}
            />
            <circle cx={x} cy={yOf(right / of)} r={4.5} fill="var(--verdigris)" />
          </g>
        )
      })}
    </svg>
  )
}
