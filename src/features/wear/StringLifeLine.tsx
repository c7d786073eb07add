import type { StringPosition } from '@/core/instrument/instrument'
import { mishapWord } from '@/core/fitting/mishaps'
import { siteWord } from '@/core/wear/break-sites'
import { YEAR } from '@/core/wear/period'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { dateText } from '@/ui/format/time'
import { useWorkshop } from '@/ui/units'

const WIDTH = 420
const ROW = 30
const TOP = 4
const LEFT = 6

interface StringLifeLineProps {
  readonly wear: InstrumentWear
  readonly position: StringPosition
  readonly now: number
}

/** Every string that was on this position as a line from when it was fitted to when it ended, on one scale of years. */
export function StringLifeLine({ wear, position, now }: StringLifeLineProps) {
  const { timeZone } = useWorkshop()
  const on = wear.strings.find(({ number }) => number === position.number)
  const past = wear.past
    .filter(({ number }) => number === position.number)
    .sort((a, b) => a.fittedAt - b.fittedAt)
    .slice(-MAX_LIVES_DRAWN)
  const strings: readonly DrawnString[] = [
    ...past.map((one) => ({ ...one, likelyFrom: null })),
    ...(on ? [{ ...on, endedAt: null, site: null, likelyFrom: likelyFromOf(on) }] : []),
  ]
  if (strings.length === 0) return null
  const from = Math.min(now - YEAR, ...strings.map(({ fittedAt, likelyFrom }) => likelyFrom ?? fittedAt))
  const x = (at: number) => LEFT + ((WIDTH - 2 * LEFT) * (at - from)) / (now - from)
  const height = TOP + strings.length * ROW + 22
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="w-full"
        role="img"
        aria-label="The strings of this position over the years"
      >
        {yearsBetween(from, now).map((at) => (
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
        {strings.map((string, i) => (
          <DrawnLife key={string.fittedAt} string={string} x={x} y={TOP + i * ROW + ROW * 0.7} now={now} />
        ))}
      </svg>
      <figcaption className="sr-only">
        {strings.map((string) => lifeInWords(string, position, (at) => dateText(at, timeZone))).join(' ')}
      </figcaption>
      <p className="text-sm text-soft" aria-hidden>
        Each line is a string, from the coil named over it: × where it gave way, a diamond where it was looked
        at (full: worn or failing), a small tick where it was read, green the one that is on, dotted where its
        age is not known.
      </p>
    </figure>
  )
}

type DrawnString = Pick<
  InstrumentWear['past'][number],
  'fittedAt' | 'site' | 'looks' | 'coil' | 'mishaps' | 'readAt'
> & {
  /** Null while it is on. */
  readonly endedAt: number | null
  /** Since when it likely is on, of a string that was on when it was entered; null where the day is known. */
  readonly likelyFrom: number | null
}

const likelyFromOf = ({ since, fittedAt, agedBefore }: InstrumentWear['strings'][number]): number | null =>
  since === 'dated' ? null : fittedAt - agedBefore

interface DrawnLifeProps {
  readonly string: DrawnString
  readonly x: (at: number) => number
  readonly y: number
  readonly now: number
}

/** One string from when it was fitted to its end. */
function DrawnLife({ string, x, y, now }: DrawnLifeProps) {
  const { fittedAt, likelyFrom, endedAt, site, looks, coil, readAt } = string
  const [from, to] = [x(fittedAt), x(endedAt ?? now)]
  const isOn = endedAt === null
  return (
    <g>
      <path d={readAt.map((at) => `M${x(at)},${y + 2}v5`).join('')} stroke="var(--soft)" strokeWidth={1} />
      {likelyFrom !== null && (
        <line
          x1={x(likelyFrom)}
          x2={from}
          y1={y}
          y2={y}
          stroke="var(--verdigris)"
          strokeWidth={3}
          strokeDasharray="2 5"
        />
      )}
      <line
        x1={from}
        x2={to}
        y1={y}
        y2={y}
        stroke={isOn ? 'var(--verdigris)' : 'var(--soft)'}
        strokeWidth={isOn ? 5 : 3}
      />
      {!isOn && site === null && <path d={`M${to},${y - 6}v12`} stroke="var(--soft)" strokeWidth={2} />}
      {site !== null && (
        <path d={`M${to - 5},${y - 5}l10,10m0,-10l-10,10`} stroke="var(--ochre)" strokeWidth={2} />
      )}
      {coil !== null && (
        <text x={Math.min(from, WIDTH - LEFT - 7 * coil.length)} y={y - 7} fontSize={11} fill="var(--soft)">
          {coil}
        </text>
      )}
      <Looks looks={looks} x={x} y={y} />
    </g>
  )
}

/** A string’s life as it is read aloud. */
function lifeInWords(
  { fittedAt, endedAt, site, coil, mishaps, readAt, looks }: DrawnString,
  position: StringPosition,
  date: (at: number) => string,
): string {
  const end =
    endedAt === null
      ? 'still on'
      : `until ${date(endedAt)}: ${site === null ? 'taken off' : siteWord(site, position).toLowerCase()}`
  const more = [
    coil === null ? '' : `from coil ${coil}`,
    ...mishaps.map((mishap) => mishapWord(mishap).toLowerCase()),
    readAt.length === 0 ? '' : `${readAt.length} readings`,
    looks.length === 0 ? '' : `looked at ${looks.length === 1 ? 'once' : `${looks.length} times`}`,
  ].filter((one) => one !== '')
  return `${date(fittedAt)}, ${end}${more.length === 0 ? '' : ` (${more.join(', ')})`}.`
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
const MAX_LIVES_DRAWN = 12

/** The turns of the year between two times, not too many of them. */
function yearsBetween(from: number, to: number): readonly number[] {
  const first = new Date(from).getUTCFullYear() + 1
  const last = new Date(to).getUTCFullYear()
  const step = Math.max(1, Math.ceil((last - first + 1) / 6))
  return Array.from({ length: Math.max(0, Math.floor((last - first) / step) + 1) }, (_, i) =>
    Date.UTC(first + i * step, 0),
  )
}
