import { coveredPlans, wayWord } from '@/core/fitting/covered'
import { FOOT_SHARES, footShare, footTurns } from '@/core/fitting/feet'
import type { Habits } from '@/core/fitting/habits'
import type { Instrument } from '@/core/instrument/instrument'
import { layersOver } from '@/core/instrument/layers'
import { isOnFoot } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { PlainTable } from '@/ui/list/PlainTable'
import { useWorkshop } from '@/ui/units'
import { hoursText } from './words'

interface FootSharesProps {
  readonly instrument: Instrument
  /** The house retunes at so many cents. */
  readonly tolerance: number
}

/** Strings on two feet: both ways to share them, by how high their layers stand, and what one broken string costs later. */
export function FootShares({ instrument, tolerance }: FootSharesProps) {
  return (
    <>
      <h3 className="mt-3 font-semibold">Which strings on which foot</h3>
      <div className="mt-1 grid gap-4 sm:grid-cols-2">
        {FOOT_SHARES.map((way) => (
          <Share key={way} instrument={instrument} way={way} />
        ))}
      </div>
      <h3 className="mt-3 font-semibold">Then wrap</h3>
      <ol className="ruled">
        <li className="py-1.5">
          Let every peg down before you unwrap any string: the layers of a foot hold one another.
        </li>
        <li className="py-1.5">
          Wear gloves, and keep nothing loose near a turning peg. Wire and silk cut when they are pulled by
          hand.
        </li>
        <li className="py-1.5">
          Wrap the string nearest the wood first: its first turns tight at the wood and close to the board,
          the later ones over them. Then the next over it, outward.
        </li>
        <li className="py-1.5">
          Pluck each while you wrap. A dull note says that a turn has slipped: wrap it again from there.
        </li>
        <li className="py-1.5">
          Tune roughly from the lowest layer up, all of it; then exactly, by harmonics.
        </li>
      </ol>
      <Broken instrument={instrument} tolerance={tolerance} />
    </>
  )
}

/** Turns are drawn so many times as thick as they are. */
const TIMES = 16
const MM = 1000
const [WIDTH, WOOD, LAID] = [300, 118, 30]

function Share({ instrument, way }: { readonly instrument: Instrument; readonly way: Habits['feet'] }) {
  const { units } = useWorkshop()
  const share = footShare(instrument, way)
  if (!share) return null
  const feet = [share.low, share.high].map((numbers) => footTurns(instrument, numbers))
  const text = (metres: number) => measureText(measure('width', metres), units)
  const called = (number: number) => instrument.positions[number - 1]?.called.number ?? number
  const heights = feet.map((turns) => turns.at(-1)?.reach ?? 0)
  return (
    <figure>
      <figcaption>
        <strong>
          {share.low.length} and {share.high.length}
        </strong>
        : the layers stand {text(heights[0] ?? 0)} and {text(heights[1] ?? 0)} out from the wood
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} 150`}
        className="mt-1 w-full"
        role="img"
        aria-label={feet
          .map(
            (turns) =>
              `Foot with strings ${turns.map(({ number }) => called(number)).join(', ')} from the wood outward, ${text(turns.at(-1)?.reach ?? 0)} high`,
          )
          .join('. ')}
      >
        {feet.map((turns, foot) => {
          const x = foot * (WIDTH / 2) + 40
          return (
            <g key={foot}>
              <rect
                x={x - LAID}
                y={WOOD}
                width={LAID * 3}
                height={22}
                fill="var(--rule)"
                stroke="var(--ink)"
              />
              {turns.map(({ number, gauge, reach }) => (
                <g key={number}>
                  <rect
                    x={x - LAID + 6}
                    y={WOOD - reach * MM * TIMES}
                    width={LAID * 3 - 12}
                    height={gauge * MM * TIMES}
                    rx={3}
                    fill="var(--paper)"
                    stroke="var(--ink)"
                  />
                  <text
                    x={x - LAID + 12}
                    y={WOOD - (reach - gauge / 2) * MM * TIMES + 4}
                    fontSize={12}
                    fontWeight={600}
                    fill="var(--ink)"
                  >
                    {called(number)}
                  </text>
                  <text
                    x={x + LAID * 2 - 12}
                    y={WOOD - (reach - gauge / 2) * MM * TIMES + 4}
                    fontSize={11}
                    textAnchor="end"
                    fill="var(--soft)"
                  >
                    {measureText(measure('gauge', gauge), units)}
                  </text>
                </g>
              ))}
              <text x={x + LAID / 2} y={WOOD + 15} fontSize={11} textAnchor="middle" fill="var(--ink)">
                {foot === 0 ? 'low foot' : 'high foot'}
              </text>
            </g>
          )
        })}
      </svg>
    </figure>
  )
}

/** What each string costs if it breaks once all are on, each way there is. */
function Broken({ instrument, tolerance }: FootSharesProps) {
  const covered = instrument.positions.filter(
    (position) => isOnFoot(position) && layersOver(instrument, position).length > 0,
  )
  const [first] = covered
  if (!first) return null
  const ways = coveredPlans(instrument, first, tolerance).map(({ way }) => way)
  return (
    <details className="mt-3">
      <summary className="min-h-8 font-semibold">If one breaks later: what each way costs</summary>
      <PlainTable
        label="What a broken string costs"
        heads={[{ word: 'String' }, ...ways.map((way) => ({ word: wayWord(way, first), isFigure: true }))]}
      >
        {covered.map((position) => (
          <tr key={position.number} className="border-b border-rule">
            <th className="py-1.5 pr-3 font-semibold">{position.called.number}</th>
            {coveredPlans(instrument, position, tolerance).map(({ way, total, retunes }) => (
              <td key={way} className="py-1.5 pr-3 text-right">
                {hoursText(total)}
                <span className="block text-sm text-soft">{retunes} retunes</span>
              </td>
            ))}
          </tr>
        ))}
      </PlainTable>
      <p className="text-sm text-soft">Work and the retunes of the two weeks after, all together.</p>
    </details>
  )
}
