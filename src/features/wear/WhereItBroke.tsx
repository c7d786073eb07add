import type { StringPosition } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'
import { siteFacts, sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'

/** The drawing, px: the string lies along it, its pin at the left. */
const WIDTH = 420
const LEFT = 40
const RIGHT = 20
const Y = 64

/** The string drawn to scale with what broke where, the tuning pin at the left. */
export function WhereItBroke({
  wear,
  position,
}: {
  readonly wear: InstrumentWear
  readonly position: StringPosition
}) {
  const broken = wear.past.filter(({ number, site }) => number === position.number && site !== null)
  const counts = new Map<BreakSite, number>()
  for (const { site } of broken) if (site) counts.set(site, (counts.get(site) ?? 0) + 1)
  if (counts.size === 0) return <p className="text-sm text-soft">No string has broken here yet.</p>
  const at = placesOf(position)
  const most = Math.max(...counts.values())
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${counts.size > 1 ? 132 : 86}`}
        className="w-full"
        role="img"
        aria-label={`Where strings broke: ${[...counts].map(([site, n]) => `${siteWord(site, position).toLowerCase()} ${n}`).join(', ')}`}
      >
        <line x1={LEFT} x2={WIDTH - RIGHT} y1={Y} y2={Y} stroke="var(--ink)" strokeWidth={1.5} />
        <circle cx={LEFT} cy={Y} r={7} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} />
        <rect
          x={WIDTH - RIGHT - 3}
          y={Y - 16}
          width={6}
          height={32}
          fill="var(--wood)"
          stroke="var(--wood-line)"
        />
        <path d={`M${at['bridge pin']},${Y - 9}V${Y + 9}`} stroke="var(--ink)" strokeWidth={2} />
        {sitesFor(position)
          .filter((site) => counts.has(site))
          .sort((a, b) => at[a] - at[b])
          .map((site, i) => {
            const count = requireValue(counts.get(site))
            const x = at[site]
            // Words stand above and below by turns, so that none runs into the next.
            const up = i % 2 === 0
            const reach = (up ? -1 : 1) * 26
            const anchor = x < WIDTH * 0.3 ? 'start' : x > WIDTH * 0.7 ? 'end' : 'middle'
            return (
              <g key={site}>
                <line x1={x} x2={x} y1={Y} y2={Y + reach} stroke="var(--ochre)" strokeWidth={1} />
                <circle
                  cx={x}
                  cy={Y}
                  r={3 + (6 * count) / most}
                  fill={siteFacts(site).broke ? 'var(--ochre)' : 'var(--paper)'}
                  stroke="var(--ochre)"
                  strokeWidth={2}
                />
                <text
                  x={anchor === 'start' ? Math.min(x, 8 + x) : x}
                  y={Y + reach + (up ? -6 - 14 * (i % 4 === 2 ? 1 : 0) : 14 + 14 * (i % 4 === 3 ? 1 : 0))}
                  textAnchor={anchor}
                  fontSize={13}
                  fill="var(--ink)"
                >
                  {siteWord(site, position)}: {count}
                </text>
              </g>
            )
          })}
      </svg>
      <figcaption className="text-sm text-soft">
        Where {broken.length === 1 ? 'the one string' : `${broken.length} strings`} gave way, the pin at the
        left; to scale.
      </figcaption>
    </figure>
  )
}

/** Where each site lies on the drawing. */
function placesOf({ freeLength, speakingLength, head }: StringPosition): Readonly<Record<BreakSite, number>> {
  const long = WIDTH - LEFT - RIGHT
  const share = (length: number) => LEFT + (long * length) / freeLength
  const bridge = share(Math.min(head.pin.toBridge, freeLength - speakingLength))
  const board = share(Math.min(freeLength, head.pin.toBridge + speakingLength))
  return {
    'tuning pin hole': LEFT,
    wraps: LEFT + 7,
    'bridge pin': bridge,
    'lever or disc': bridge + (board - bridge) * 0.04,
    'mid-length': (bridge + board) / 2,
    soundboard: board,
    knot: WIDTH - RIGHT,
    'knot pulled through': WIDTH - RIGHT,
    slipped: LEFT,
  }
}
