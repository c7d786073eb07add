/** Small drawings of what is done at the knot, in cutting and after: one for each way. */
import type { Habits } from '@/core/fitting/habits'
import { FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { tyingOf } from '@/core/knots/tying'
import { frameOf } from '@/drawings/knot/frame'
import { KnotDrawing } from '@/drawings/knot/KnotDrawing'
import { USUAL_LOOK } from '@/drawings/knot/string-look'
import { INK, STRING } from './strokes'

const WOOD = { fill: 'var(--wood)', stroke: 'var(--wood-line)' } as const

/** The soundboard across, with its eyelet in the middle. */
const Board = ({ y = 28 }: { y?: number }) => (
  <g>
    <rect x={6} y={y} width={36} height={8} {...WOOD} />
    <rect x={54} y={y} width={36} height={8} {...WOOD} />
  </g>
)
const knot = (x: number, y: number) => (
  <path
    d={`M${x},${y - 9}V${y - 5}a8,6 0 1 1 -0.1,0M${x - 7},${y + 5}L${x + 9},${y - 3}M${x + 6},${y + 6}L${x + 12},${y + 12}`}
    {...STRING}
  />
)
const arrow = (x: number, y: number, up: boolean) => (
  <path
    d={`M${x},${y + (up ? 12 : -12)}V${y}M${x - 4},${y + (up ? 5 : -5)}L${x},${y}L${x + 4},${y + (up ? 5 : -5)}`}
    {...INK}
  />
)

export function Knot({ way }: { way: Habits['knot'] }) {
  if (way === 'as charted')
    return (
      <g>
        <path d="M14,8H82V58H14ZM14,20H82M14,32H82M14,44H82M44,8V58" {...INK} />
        <path d="M50,38H76" {...STRING} />
      </g>
    )
  const tying = tyingOf(way, { place: 'behind the bight' })
  const open = tying.stages.length - 1
  return (
    <KnotDrawing
      state={tying.stateAt(open)}
      frame={frameOf(tying, FROM_OUTSIDE, 'right')}
      view={FROM_OUTSIDE}
      hand="right"
      title={way}
      board={{ bore: USUAL_LOOK.bore }}
      named={false}
    />
  )
}

export function Anchor({ way }: { way: Habits['anchor'] }) {
  switch (way) {
    case 'old gut':
      return (
        <g>
          <rect x={22} y={24} width={52} height={14} rx={3} fill="var(--gut)" stroke="var(--ink)" />
          {[28, 36, 44, 52, 60].map((x) => (
            <path key={x} d={`M${x},25L${x + 8},37`} stroke="var(--gut-light)" strokeWidth={1.6} />
          ))}
        </g>
      )
    case 'dowel':
      return (
        <g>
          <rect x={22} y={22} width={52} height={18} fill="var(--wood)" stroke="var(--ink)" />
          <ellipse cx={74} cy={31} rx={5} ry={9} fill="var(--wood)" stroke="var(--ink)" />
          <path d="M26,28H64M30,34H68" stroke="var(--wood-line)" />
        </g>
      )
    case 'cotton':
      return (
        <g>
          <rect x={22} y={21} width={52} height={20} rx={10} {...INK} fill="var(--paper)" />
          <path d="M68,36a6,6 0 1 1 1,-9a4,4 0 1 1 -3,5" {...INK} fill="none" strokeWidth={1.2} />
          <path d="M30,27H58M28,32H52M31,36H56" stroke="var(--line)" strokeDasharray="3 4" />
        </g>
      )
    case 'bead and glue':
      return (
        <g>
          <circle cx={44} cy={34} r={16} {...INK} fill="var(--paper)" />
          <circle cx={44} cy={34} r={4} fill="var(--ink)" />
          <path
            d="M76,10q-7,11 0,14q7,-3 0,-14"
            fill="var(--verdigris-wash)"
            stroke="var(--verdigris)"
            strokeWidth={1.4}
          />
        </g>
      )
    case 'toggle':
      return (
        <g>
          <rect x={16} y={28} width={64} height={9} rx={4.5} {...INK} fill="var(--paper)" />
          <path d="M48,4V24M42,24h12v16h-12z" {...STRING} />
        </g>
      )
  }
}

export function AnchorPlace({ way }: { way: Habits['anchorPlace'] }) {
  const behind = way === 'behind the bight'
  const bar = <rect x={16} y={24} width={64} height={11} rx={3} fill="var(--gut)" stroke="var(--ink)" />
  return (
    <g>
      {behind && bar}
      <path d="M38,4V34A10,12 0 0 0 58,34V4" {...STRING} strokeWidth={4} />
      {!behind && bar}
    </g>
  )
}

export function KnotSet({ way }: { way: Habits['knotSet'] }) {
  return (
    <g>
      <Board />
      <path d="M48,6V36" {...STRING} />
      {knot(48, 48)}
      {way === 'hard pull at once' ? (
        <path d="M62,22V4M57,10L62,4L67,10" {...INK} strokeWidth={2.4} />
      ) : (
        <g>
          <circle cx={72} cy={14} r={8} {...INK} />
          <path d="M80,8A12,12 0 0 1 80,22M76,20L80,22L82,17" {...INK} />
        </g>
      )}
    </g>
  )
}

export function Threading({ way }: { way: Habits['threading'] }) {
  return way === 'from inside, knot first' ? (
    <g>
      <Board y={22} />
      <path d="M48,4V40" {...STRING} />
      {knot(48, 52)}
      {arrow(66, 36, true)}
    </g>
  ) : (
    <g>
      <Board y={34} />
      <path d="M48,4V60" {...STRING} />
      {arrow(66, 28, false)}
    </g>
  )
}

const cutter = (x: number, y: number) => (
  <path
    d={`M${x - 7},${y - 8}L${x + 5},${y + 6}M${x + 7},${y - 8}L${x - 5},${y + 6}`}
    {...INK}
    strokeWidth={2}
  />
)
const pinEnd = (x: number, y: number) => (
  <g>
    <circle cx={x} cy={y} r={9} {...INK} fill="var(--paper)" />
    <circle cx={x} cy={y} r={1.6} fill="var(--ink)" />
  </g>
)

export function Cutting({ way }: { way: Habits['cutting'] }) {
  switch (way) {
    case 'on the instrument, then wind':
      return (
        <g>
          {pinEnd(30, 24)}
          <path d="M30,64V24L62,16" {...STRING} />
          {cutter(66, 15)}
        </g>
      )
    case 'set slack, take out, cut, thread again':
      return (
        <g>
          {pinEnd(26, 24)}
          <path d="M26,64Q28,40 46,38L78,30" {...STRING} />
          {cutter(80, 29)}
          <path d="M34,30Q42,20 50,26M46,20L50,26L43,27" {...INK} />
        </g>
      )
    case 'wind, trim later':
      return (
        <g>
          {pinEnd(40, 24)}
          <path d="M31,64V24A9,9 0 0 1 49,24A9,9 0 0 1 40,33V15L74,8" {...STRING} />
          {cutter(76, 34)}
          <path d="M76,26V14" {...INK} strokeDasharray="2 2" />
        </g>
      )
  }
}

export function TailTrim({ way }: { way: Habits['tailTrim'] }) {
  const text = { 'at once': 'now', 'after hours': 'hours', 'after settling': 'weeks' }[way]
  const tail =
    way === 'at once'
      ? 'M40,34V14L46,11'
      : way === 'after hours'
        ? 'M40,34V14Q58,2 74,10'
        : 'M40,34V14Q62,-4 74,12Q80,24 68,26Q58,26 62,18'
  return (
    <g>
      {pinEnd(40, 26)}
      <path d="M31,64V26A9,9 0 0 1 49,26" {...STRING} />
      <path d={tail} {...STRING} />
      <text x={84} y={58} fontSize={12} textAnchor="end" fill="var(--ink)">
        {text}
      </text>
    </g>
  )
}

export function Stretching({ way }: { way: Habits['stretching'] }) {
  switch (way) {
    case 'leave it alone':
      return <path d="M8,32H88" {...STRING} />
    case 'gentle pulls':
      return (
        <g>
          <path d="M8,32H88" {...STRING} />
          <path d="M40,20H20M26,15L20,20L26,25M56,20H76M70,15L76,20L70,25" {...INK} />
        </g>
      )
    case 'bending aside':
      return (
        <g>
          <path d="M8,32Q48,20 88,32" {...STRING} />
          <path d="M48,38V50M43,45L48,50L53,45" {...INK} />
        </g>
      )
    case 'rubbing warm':
      return (
        <g>
          <path d="M8,32H88" {...STRING} />
          <rect x={32} y={24} width={26} height={16} rx={5} {...INK} fill="var(--paper)" />
          <path d="M28,50H62M33,45L28,50L33,55M57,45L62,50L57,55" {...INK} />
        </g>
      )
    case 'big sideways motions':
      return (
        <g>
          <path d="M8,32Q48,2 88,32" {...STRING} />
          <path d="M8,32Q48,62 88,32" {...STRING} strokeDasharray="3 4" />
        </g>
      )
  }
}
