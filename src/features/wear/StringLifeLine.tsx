import type { StringPosition } from '@/core/instrument/instrument'
import { siteWord } from '@/core/wear/break-sites'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { dateText } from '@/ui/format/time'
import { useHouse } from '@/ui/units'

const WIDTH = 420
const ROW = 20
const TOP = 8
const LEFT = 6

interface StringLifeLineProps {
  readonly wear: InstrumentWear
  readonly position: StringPosition
  readonly now: number
}

/** Every string that was on this position as a line from when it was fitted to when it ended, on one scale of years. */
export function StringLifeLine({ wear, position, now }: StringLifeLineProps) {
  const { timeZone } = useHouse()
  const on = wear.strings.find(({ number }) => number === position.number)
  const past = wear.past
    .filter(({ number }) => number === position.number)
    .sort((a, b) => a.fittedAt - b.fittedAt)
    .slice(-MOST)
  const from = Math.min(now - YEAR, ...past.map(({ fittedAt }) => fittedAt), on?.fittedAt ?? now)
  const x = (at: number) => LEFT + ((WIDTH - 2 * LEFT) * (at - from)) / (now - from)
  const rows = past.length + (on ? 1 : 0)
  if (rows === 0) return null
  const height = TOP + rows * ROW + 22
  const years = yearsBetween(from, now)
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="w-full"
        role="img"
        aria-label="The strings of this position over the years"
      >
        {years.map((at) => (
          <g key={at}>
            <line x1={x(at)} x2={x(at)} y1={0} y2={height - 18} stroke="var(--rule)" />
            <text
              x={Math.max(LEFT + 14, x(at))}
              y={height - 4}
              textAnchor="middle"
              fontSize={12}
              fill="var(--soft)"
            >
              {new Date(at).getUTCFullYear()}
            </text>
          </g>
        ))}
        {past.map((string, i) => {
          const y = TOP + i * ROW + ROW / 2
          return (
            <g key={string.fittedAt}>
              <line
                x1={x(string.fittedAt)}
                x2={x(string.endedAt)}
                y1={y}
                y2={y}
                stroke="var(--soft)"
                strokeWidth={3}
              />
              {string.site === null ? (
                <path d={`M${x(string.endedAt)},${y - 6}v12`} stroke="var(--soft)" strokeWidth={2} />
              ) : (
                <path
                  d={`M${x(string.endedAt) - 5},${y - 5}l10,10m0,-10l-10,10`}
                  stroke="var(--ochre)"
                  strokeWidth={2}
                />
              )}
              <Looks looks={string.looks} x={x} y={y} />
            </g>
          )
        })}
        {on && (
          <g>
            <line
              x1={x(on.fittedAt)}
              x2={x(now)}
              y1={TOP + past.length * ROW + ROW / 2}
              y2={TOP + past.length * ROW + ROW / 2}
              stroke="var(--verdigris)"
              strokeWidth={5}
            />
            <Looks looks={on.looks} x={x} y={TOP + past.length * ROW + ROW / 2} />
          </g>
        )}
      </svg>
      <figcaption className="sr-only">
        {past.map(
          ({ fittedAt, endedAt, site }) =>
            `${dateText(fittedAt, timeZone)} to ${dateText(endedAt, timeZone)}: ${site === null ? 'taken off' : siteWord(site, position)}. `,
        )}
      </figcaption>
      <p className="text-sm text-soft" aria-hidden>
        Each line is a string; × is where one gave way, a diamond where one was looked at (full: worn or
        failing), green the one that is on.
      </p>
    </figure>
  )
}

interface LooksProps {
  readonly looks: InstrumentWear['strings'][number]['looks']
  readonly x: (at: number) => number
  readonly y: number
}

/** When a string was looked at; full where it was worn. */
function Looks({ looks, x, y }: LooksProps) {
  return looks.map(({ at, condition }) => (
    <path
      key={at}
      d={`M${x(at)},${y - 6}l5,6l-5,6l-5,-6z`}
      fill={condition === 'worn' || condition === 'fraying' ? 'var(--ochre)' : 'var(--paper)'}
      stroke="var(--ink)"
      strokeWidth={1.2}
    />
  ))
}

/** Of a position with many strings the last are drawn. */
const MOST = 12
const YEAR = 365.25 * 86_400_000

/** The turns of the year between two times, not too many of them. */
function yearsBetween(from: number, to: number): readonly number[] {
  const first = new Date(from).getUTCFullYear() + 1
  const last = new Date(to).getUTCFullYear()
  const step = Math.max(1, Math.ceil((last - first + 1) / 6))
  return Array.from({ length: Math.max(0, Math.floor((last - first) / step) + 1) }, (_, i) =>
    Date.UTC(first + i * step, 0),
  )
}
