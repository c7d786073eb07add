import type { TyingState, Part } from '@/core/knots/tails/state'
import type { ToldCrossing } from '@/core/knots/tails/tell-crossings'
import type { Fixture } from '@/core/knots/tails/tail-end'
import { crossingsOf, type View } from '@/core/knots/topology/crossings'
import { alongOf, stretch, type Polyline, type Vec3 } from '@/core/knots/topology/curve'
import type { Tying } from '@/core/knots/tying'
import { itemAt } from '@/core/list/item-at'
import { asSeen, handsOf, nameOfRodAt, type Frame, type Hand } from './frame'
import { RodDrawing } from './RodDrawing'

export interface KnotDrawingProps {
  readonly state: TyingState
  readonly frame: Frame
  readonly view: View
  readonly hand: Hand
  readonly title: string
  /** The board above with its hole; its bore in gauges. */
  readonly board: { readonly bore: number } | null
  /** Drawn down: its parts lie against each other, and nothing is told apart by gaps. */
  readonly tight?: boolean
  /** Numbered as they are told beside it. */
  readonly told?: readonly ToldCrossing[]
  /** A crossing that is asked for; null where none is. */
  readonly asked?: { readonly x: number; readonly y: number; readonly isCovered: boolean } | null
  /** What its ends are called. */
  readonly names?: Tying['names'] | null
  /** Whether its ends and what is put into it are named. */
  readonly named?: boolean
  readonly className?: string
}

const THICK = 1
/** Half the width of the gap that is left beside the part in front, gauges. */
const GAP = 0.74
/** A part behind is interrupted no further than this to either side, gauges, however slantwise it is crossed. */
const MOST_GAP = 1
/** Wide enough to hide which lies in front, gauges. */
const COVER = 1.6
const NOTHING: readonly ToldCrossing[] = []

const path = (points: Polyline) =>
  `M${points.map(([x, y]) => `${x.toFixed(2)},${(-y).toFixed(2)}`).join('L')}`

/** A state of the tying as a clean line with gaps where it passes behind: the same curve that its crossings are counted on. */
export function KnotDrawing({
  state,
  frame,
  view,
  hand,
  title,
  board,
  tight = false,
  told = NOTHING,
  asked = null,
  names = null,
  named = true,
  className,
}: KnotDrawingProps) {
  const curve = asSeen(state.curve, view, hand)
  const rods = state.fixtures.map((rod): Fixture => ({
    ...rod,
    at: itemAt(asSeen([rod.at], view, hand), 0),
    axis: itemAt(asSeen([rod.axis], view, hand), 0),
  }))
  const hands = handsOf(state, hand).map((one) => ({ ...one, at: itemAt(asSeen([one.at], view, hand), 0) }))
  const { behind, before } = layers(curve, rods)
  const looks = { parts: state.parts, fresh: state.fresh, curve }
  const [first, last] = [itemAt(curve, 0), itemAt(curve, curve.length - 1)]
  return (
    <svg
      viewBox={`${frame.left} ${frame.top} ${frame.width} ${frame.height}`}
      className={className}
      role="img"
      aria-label={title}
      fontSize={1.05}
    >
      {board && <Board bore={board.bore} />}
      {tight ? (
        <Tight {...looks} rods={rods} />
      ) : (
        <>
          <Runs {...looks} runs={behind} />
          {state.cord && <Cord curve={asSeen(state.cord, view, hand)} against={curve} front={false} />}
          {rods.map((rod, i) => (
            <RodDrawing key={i} rod={rod} />
          ))}
          <Runs {...looks} runs={before} />
          {state.cord && <Cord curve={asSeen(state.cord, view, hand)} against={curve} front />}
        </>
      )}
      {named && (
        <g fill="var(--ink)" stroke="var(--paper)" strokeWidth={0.35} paintOrder="stroke">
          {state.whole && (
            <EndName
              at={first}
              says={first[1] < -4 ? 'to the string' : names?.tag === 'short end' ? 'long part' : 'to the pin'}
              frame={frame}
            />
          )}
          {!state.whole && state.leads === 'standing part' && (
            <EndName at={first} says="standing part" frame={frame} />
          )}
          {state.parts[state.parts.length - 1] === 'tag' ? (
            <EndName at={last} says={names?.tag ?? 'tag'} frame={frame} />
          ) : (
            state.leads === 'working end' && <EndName at={last} says="working end" frame={frame} />
          )}
          {rods.slice(0, 1).map((rod) => (
            <text
              key={rod.kind}
              x={nameOfRodAt(rod)[0]}
              y={-nameOfRodAt(rod)[1] + rod.radius + 1.9}
              textAnchor="middle"
              fontSize={0.95}
            >
              {rod.kind}
            </text>
          ))}
        </g>
      )}
      {hands.map(({ hand: side, at: [x, y] }) => (
        <g key={side} transform={`translate(${x} ${-y})`}>
          <circle r={1.15} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.2} />
          <text textAnchor="middle" y={0.5} fontSize={1.4} fontWeight={650} fill="var(--ink)">
            {side === 'left' ? 'L' : 'R'}
          </text>
        </g>
      ))}
      {asked && (
        <g transform={`translate(${asked.x} ${-asked.y})`}>
          <circle
            r={COVER}
            fill={asked.isCovered ? 'var(--ochre-wash)' : 'none'}
            stroke="var(--ochre)"
            strokeWidth={asked.isCovered ? 0.16 : 0.3}
          />
          {asked.isCovered && (
            <text textAnchor="middle" y={0.62} fontSize={1.8} fontWeight={650} fill="var(--ink)">
              ?
            </text>
          )}
        </g>
      )}
      {told.map((c, i) => (
        <g key={i} transform={`translate(${c.x + 1.15} ${-c.y - 1.15})`}>
          <circle r={0.72} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.09} />
          <text textAnchor="middle" y={0.33} fontSize={0.95} fontWeight={650} fill="var(--ink)">
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** What an end is called, kept inside the picture. */
function EndName({ at: [x, y], says, frame }: { at: Vec3; says: string; frame: Frame }) {
  const toLeft = x > frame.left + frame.width * 0.62
  return (
    <text
      x={x + (toLeft ? -0.9 : 0.9)}
      y={Math.min(Math.max(-y + 0.4, frame.top + 1.3), frame.top + frame.height - 0.5)}
      textAnchor={toLeft ? 'end' : 'start'}
    >
      {says}
    </text>
  )
}

function Board({ bore }: { bore: number }) {
  const half = Math.max(0.65, bore / 2)
  return (
    <g stroke="var(--wood-line)" strokeWidth={0.1} fill="var(--wood)">
      <path d={`M-13,-1.3H${-half}V0H-13ZM${half},-1.3H13V0H${half}Z`} />
      <path
        d={`M${-half - 1},0H${-half}V-1.6H${-half - 1}ZM${half},0H${half + 1}V-1.6H${half}Z`}
        fill="var(--wire-light)"
      />
    </g>
  )
}

interface Run {
  readonly from: number
  readonly to: number
}
interface Looks {
  readonly curve: Polyline
  readonly parts: readonly Part[]
  readonly fresh: readonly [number, number]
}

/** Pieces of the curve that pass behind a rod, and all the others. */
function layers(
  curve: Polyline,
  rods: readonly Fixture[],
): { readonly behind: readonly Run[]; readonly before: readonly Run[] } {
  const isBehind = curve.map((p) => rods.some((rod) => passesBehind(p, rod)))
  const runs: { from: number; to: number; behind: boolean }[] = []
  isBehind.forEach((behind, i) => {
    const last = runs[runs.length - 1]
    if (last && last.behind === behind) last.to = i
    else runs.push({ from: Math.max(0, i - 1), to: i, behind })
  })
  return { behind: runs.filter((r) => r.behind), before: runs.filter((r) => !r.behind) }
}

/** Hidden by a rod: within its outline, and further from the eye than the middle of it there. */
function passesBehind([x, y, z]: Vec3, { at, axis, radius, half }: Fixture): boolean {
  const flat = axis[0] * axis[0] + axis[1] * axis[1]
  const [dx, dy] = [x - at[0], y - at[1]]
  const along = flat < 0.02 ? 0 : Math.max(-half, Math.min(half, (dx * axis[0] + dy * axis[1]) / flat))
  if (Math.hypot(dx - along * axis[0], dy - along * axis[1]) > radius + 0.55) return false
  // Seen from its end a rod reaches toward the eye: only what runs round it beyond its far end is hidden.
  return flat < 0.3 ? z < at[2] - half : z < at[2] + along * axis[2]
}

function Runs({ runs, curve, parts, fresh }: Looks & { runs: readonly Run[] }) {
  const holds = (at: number) => runs.find(({ from, to }) => at >= from && at <= to)
  const crossings = crossingsOf(curve)
  const flat = curve.map(([x, y]): Vec3 => [x, y, 0])
  const along = alongOf(flat)
  const alongAt = (at: number) => {
    const [before, after] = [itemAt(along, Math.floor(at)), itemAt(along, Math.ceil(at))]
    return before + (after - before) * (at - Math.floor(at))
  }
  return (
    <g fill="none" strokeLinecap="butt" strokeLinejoin="round">
      {runs.map(({ from, to }) => (
        <Piece key={from} from={from} to={to} curve={curve} parts={parts} fresh={fresh} />
      ))}
      {crossings.map(({ over, under }) => {
        const run = holds(over)
        if (!run || !holds(under)) return null
        const [at, half] = [alongAt(over), gapAt(curve, over, under)]
        // No further than the string lies before the same rods.
        const cut = [
          Math.max(itemAt(along, run.from), at - half),
          Math.min(itemAt(along, run.to), at + half),
        ] as const
        const from = Math.max(run.from, along.findLastIndex((far) => far <= cut[0]) - 1)
        const to = Math.min(run.to, along.findIndex((far) => far >= cut[1]) + 1)
        return (
          <g key={`${over} ${under}`}>
            <path d={path(stretch(flat, along, ...cut))} stroke="var(--paper)" strokeWidth={2 * GAP} />
            <Piece from={from} to={to} curve={curve} parts={parts} fresh={fresh} />
          </g>
        )
      })}
    </g>
  )
}

/** Which way a curve leads at a place along it, in the eye's plane. */
function headingAt(curve: Polyline, at: number): readonly [number, number] {
  const i = Math.min(Math.floor(at), curve.length - 2)
  const [a, b] = [itemAt(curve, i), itemAt(curve, i + 1)]
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
}

/** How far the part in front must be cleared to either side, so that the one behind is cut through whole: further where they cross slantwise. */
function gapAt(curve: Polyline, over: number, under: number): number {
  const [a, b] = [headingAt(curve, over), headingAt(curve, under)]
  const sine = Math.abs(a[0] * b[1] - a[1] * b[0])
  const cosine = Math.abs(a[0] * b[0] + a[1] * b[1])
  return Math.min(MOST_GAP, (THICK / 2 + GAP * cosine) / Math.max(sine, 1e-3) + 0.08)
}

/** A piece of string: an outline, its tint, and the pattern of the part it belongs to. */
function Piece({ from, to, curve, parts, fresh }: Run & Looks) {
  const pieces: { part: Part; isFresh: boolean; from: number; to: number }[] = []
  for (let i = from; i <= to; i += 1) {
    const [part, isFresh] = [itemAt(parts, i), i >= fresh[0] && i <= fresh[1]]
    const last = pieces[pieces.length - 1]
    if (last && last.part === part && last.isFresh === isFresh) last.to = i
    else pieces.push({ part, isFresh, from: Math.max(from, i - 1), to: i })
  }
  return (
    <>
      <path d={path(curve.slice(from, to + 1))} stroke="var(--ink)" strokeWidth={THICK} />
      {pieces
        .filter((p) => p.to > p.from)
        .map((p) => {
          const d = path(curve.slice(p.from, p.to + 1))
          return (
            <g key={p.from}>
              <path
                d={d}
                stroke={p.isFresh ? 'var(--verdigris)' : 'var(--verdigris-wash)'}
                strokeWidth={THICK * 0.66}
              />
              {p.part === 'working end' && (
                <path
                  d={d}
                  stroke={p.isFresh ? 'var(--paper)' : 'var(--ink)'}
                  strokeWidth={0.11}
                  strokeDasharray="0.55 0.75"
                />
              )}
              {p.part === 'tag' && (
                <path
                  d={d}
                  stroke={p.isFresh ? 'var(--paper)' : 'var(--ink)'}
                  strokeWidth={THICK * 0.66}
                  strokeDasharray="0.12 0.6"
                />
              )}
            </g>
          )
        })}
    </>
  )
}

/** Drawn down: pieces in the order of their distance from the eye, rods among them. */
function Tight({ curve, parts, rods }: Looks & { rods: readonly Fixture[] }) {
  const order = curve
    .map((p, i) => ({ i, z: p[2] }))
    .slice(1)
    .sort((a, b) => a.z - b.z)
  const hidden = order.filter(({ i }) => rods.some((rod) => passesBehind(itemAt(curve, i), rod)))
  const shown = order.filter((o) => !hidden.includes(o))
  const piece = ({ i }: { i: number }) => {
    const part = parts[i]
    const d = path(curve.slice(Math.max(0, i - 2), i + 1))
    return (
      <g key={i}>
        <path d={path(curve.slice(Math.max(0, i - 1), i + 1))} stroke="var(--ink)" strokeWidth={THICK} />
        <path
          d={d}
          stroke={part === 'working end' ? 'var(--verdigris)' : 'var(--verdigris-wash)'}
          strokeWidth={THICK * 0.7}
        />
      </g>
    )
  }
  return (
    <g fill="none">
      {hidden.map(piece)}
      {rods.map((rod, i) => (
        <RodDrawing key={i} rod={rod} />
      ))}
      {shown.map(piece)}
    </g>
  )
}

/** A cord that takes hold of the string: what of it lies behind the string, or before it. */
function Cord({ curve, against, front }: { curve: Polyline; against: Polyline; front: boolean }) {
  const middle = against.reduce((sum, p) => sum + p[2], 0) / against.length
  const pieces = curve.map((p, i) => ({ i, p })).filter(({ p }) => p[2] > middle === front)
  if (pieces.length < 2) return null
  const d = path(
    curve.slice((pieces[0] as { i: number }).i, (pieces[pieces.length - 1] as { i: number }).i + 1),
  )
  return (
    <g fill="none" strokeLinecap="round">
      <path d={d} stroke="var(--ink)" strokeWidth={THICK * 0.8} />
      <path d={d} stroke="var(--gut-light)" strokeWidth={THICK * 0.55} />
    </g>
  )
}
