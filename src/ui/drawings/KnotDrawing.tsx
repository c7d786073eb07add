'use client'

import { laidUntil, layingOrder, type Tie } from '@/core/knots/ties/tie'
import { crossingsOf, seenFrom, type View } from '@/core/knots/topology/crossings'
import { mirrored, type Polyline, type Vec3 } from '@/core/knots/topology/curve'

interface KnotDrawingProps {
  readonly tie: Tie
  /** Shares of the way that lay before this stage and lie after it, 0 to 1. */
  readonly before: number
  readonly until: number
  readonly view: View
  readonly hand: 'right' | 'left'
  readonly title: string
  readonly className?: string
}

const BOX = { left: -14, top: -9, width: 28, height: 26 } as const
const THICK = 1
/** Half the length of the piece that is drawn again over what it crosses, in points. */
const BRIDGE = 4

const path = (points: Polyline) => `M${points.map(([x, y]) => `${x.toFixed(2)},${(-y).toFixed(2)}`).join('L')}`

/** A knot's curve as a clean line with gaps where it passes behind: the same curve that its crossings are counted on. */
export function KnotDrawing({ tie, before, until, view, hand, title, className }: KnotDrawingProps) {
  const whole = layingOrder(tie)
  const turned = seenFrom(hand === 'left' ? mirrored(whole) : whole, view)
  const laid = laidUntil(turned, until)
  const free = freeEnd(laid, tie, until, view)
  const shown: Polyline = [...laid, ...free]
  const last = turned.length - 1
  const fresh = shown.slice(Math.round(before * last))
  const piece = (at: number, reach = BRIDGE) => shown.slice(Math.max(0, Math.floor(at) - reach), Math.min(shown.length, Math.ceil(at) + reach + 1))
  const isFresh = (at: number) => at >= before * last
  const flip = (hand === 'left' ? -1 : 1) * (Math.cos((view.turn * Math.PI) / 180) >= 0 ? 1 : -1)
  // A knot whose standing part is led is tied before its string goes through the board.
  const throughBoard = tie.leads === 'working end' || until > 0.99
  const tag = tie.leads === 'standing part' ? shown[0] as Vec3 : until > 0.99 ? shown[shown.length - 1] as Vec3 : null
  return (
    <svg viewBox={`${BOX.left} ${BOX.top} ${BOX.width} ${BOX.height}`} className={className} role="img" aria-label={title} fontSize={0.95}>
      {throughBoard && <path d="M-13,-1.1H-1V0H-13ZM1,-1.1H13V0H1Z" fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={0.1} />}
      {tie.insert?.kind === 'bead' && <ellipse cx={0} cy={0.9} rx={3} ry={0.9} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.14} />}
      {tie.insert?.kind === 'anchor' && until > 0.99 && <Anchor at={[tie.insert.at[0] * flip, tie.insert.at[1]]} radius={tie.insert.radius} />}
      <g fill="none" strokeLinecap="round" strokeLinejoin="round">
        <path d={path(shown)} stroke="var(--ink)" strokeWidth={THICK} />
        <path d={path(shown)} stroke="var(--verdigris-wash)" strokeWidth={THICK * 0.62} />
        <path d={path(fresh)} stroke="var(--verdigris)" strokeWidth={THICK * 0.62} />
        {before > 0 && <path d={path(fresh)} stroke="var(--paper)" strokeWidth={0.12} strokeDasharray="0.5 0.7" />}
        {crossingsOf(shown).map((c) => (
          <g key={`${c.over} ${c.under}`} strokeLinecap="butt">
            <path d={path(piece(c.over, BRIDGE - 1))} stroke="var(--paper)" strokeWidth={THICK * 1.75} />
            <path d={path(piece(c.over))} stroke="var(--ink)" strokeWidth={THICK} />
            <path d={path(piece(c.over))} stroke={isFresh(c.over) ? 'var(--verdigris)' : 'var(--verdigris-wash)'} strokeWidth={THICK * 0.62} />
          </g>
        ))}
      </g>
      <g fill="var(--ink)">
        {throughBoard && <text x={1.4} y={-7.6}>to the pin</text>}
        {tag && <text x={tag[0] + (tag[0] > 0 ? -0.2 : 0.2)} y={-tag[1] + 2} textAnchor={tag[0] > 6 ? 'end' : 'start'}>tag</text>}
      </g>
    </svg>
  )
}

/** The end that is not laid yet, hanging free: straight on, or up toward the pin where it is the standing part. */
function freeEnd(laid: Polyline, tie: Tie, until: number, view: View): Polyline {
  if (until > 0.99) return []
  const [a, b] = [laid[laid.length - 3] as Vec3, laid[laid.length - 1] as Vec3]
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
  const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const front = view.turn === 180 ? -1 : 1
  return Array.from({ length: 8 }, (_, i): Vec3 => {
    const t = (i + 1) / 8
    const up = tie.leads === 'standing part' ? t * t * 5 : 0
    return [b[0] + dx * t * 4, b[1] + dy * t * 4 * (1 - t * 0.4) + up, b[2] + front * t * 2]
  })
}

/** The anchor's end, hatched as cut wood or gut is. */
function Anchor({ at: [x, y], radius }: { at: readonly [number, number]; radius: number }) {
  return (
    <g>
      <circle cx={x} cy={-y} r={radius} fill="var(--gut-light)" stroke="var(--ink)" strokeWidth={0.14} />
      <path d={`M${x - radius * 0.6},${-y}L${x},${-y - radius * 0.7}M${x - radius * 0.5},${-y + radius * 0.6}L${x + radius * 0.6},${-y - radius * 0.5}M${x},${-y + radius * 0.7}L${x + radius * 0.7},${-y}`} stroke="var(--ink)" strokeWidth={0.1} />
    </g>
  )
}
