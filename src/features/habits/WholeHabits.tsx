/** Small drawings of what concerns whole instruments, names and hands: one for each way. */
import type { ReactNode } from 'react'
import type { Habits } from '@/core/fitting/habits'
import { INK, STRING } from './strokes'

const LENGTHS = [12, 17, 23, 30, 38, 47, 54]
/** Seven strings of a harp, the longest at the left. */
function Strings({
  mark = () => null,
  stroke,
}: {
  mark?: (i: number) => ReactNode
  stroke: (i: number) => { readonly colour: string; readonly width: number }
}) {
  return LENGTHS.map((length, i) => {
    const x = 84 - i * 12
    const { colour, width } = stroke(i)
    return (
      <g key={i}>
        <path d={`M${x},60V${60 - length}`} stroke={colour} strokeWidth={width} />
        {mark(i) !== null && (
          <text x={x} y={Math.max(9, 56 - length)} fontSize={10} textAnchor="middle" fill="var(--ink)">
            {mark(i)}
          </text>
        )}
      </g>
    )
  })
}
const plain = { colour: 'var(--line)', width: 1.6 }
const picked = { colour: 'var(--verdigris)', width: 3 }

export function Thin({ way }: { way: Habits['thin'] }) {
  if (way === 'by knot against eyelet')
    return (
      <g>
        <circle cx={32} cy={32} r={18} {...INK} />
        <circle
          cx={32}
          cy={32}
          r={11}
          fill="var(--verdigris-wash)"
          stroke="var(--verdigris)"
          strokeWidth={2}
        />
        <circle cx={72} cy={32} r={12} {...INK} />
        <circle
          cx={72}
          cy={32}
          r={18}
          fill="none"
          stroke="var(--line)"
          strokeWidth={2}
          strokeDasharray="4 3"
        />
      </g>
    )
  if (way === 'from the D above middle C')
    return <Strings stroke={(i) => (i < 4 ? picked : plain)} mark={(i) => (i === 4 ? 'C' : null)} />
  if (way === 'all but the lowest gut')
    return <Strings stroke={(i) => (i < 5 ? picked : { ...plain, width: 4 })} />
  return (
    <Strings
      stroke={(i) => (i < 3 ? { ...picked, width: 1.4 + i * 0.5 } : { ...plain, width: 1.6 + i * 0.5 })}
    />
  )
}

export function PairedWire({ way }: { way: Habits['pairedWire'] }) {
  const posts = (
    <g>
      {[40, 56].map((x) => (
        <circle key={x} cx={x} cy={56} r={4} {...INK} fill="var(--paper)" />
      ))}
    </g>
  )
  return way === 'first pin wound, then round the posts' ? (
    <g>
      {posts}
      <circle cx={30} cy={12} r={7} {...INK} fill="var(--paper)" />
      <path d="M23,12A7,7 0 0 1 37,12A7,7 0 0 1 24,14L35,56Q48,68 61,56L66,20" {...STRING} />
      <path d="M62,24L66,18L71,23" {...INK} />
    </g>
  ) : (
    <g>
      {posts}
      <path d="M30,8L35,56Q48,68 61,56L66,8" {...STRING} />
      <path d="M48,50V44M44,47H52" {...INK} />
    </g>
  )
}

export function Restring({ way }: { way: Habits['restring'] }) {
  const order = {
    'one for one, alternating ends': [2, 4, 6, 7, 5, 3, 1],
    'heaviest first': [7, 6, 5, 3, 1, 2, 4],
    'longest first': [7, 6, 5, 4, 3, 2, 1],
  }[way]
  return <Strings stroke={() => plain} mark={(i) => order[i]} />
}

export function GutTop({ way }: { way: Habits['gutTop'] }) {
  return (
    <Strings
      stroke={(i) =>
        way === 'gut' || i > 2
          ? { colour: 'var(--gut)', width: 3 }
          : way === 'nylon'
            ? { colour: 'var(--nylon)', width: 3 }
            : { colour: 'var(--line)', width: 2 }
      }
    />
  )
}

/** A foot with so many strings wound over each other. */
function Foot({
  x,
  turns,
  fresh = 0,
  lifted = 0,
}: {
  x: number
  turns: number
  fresh?: number
  lifted?: number
}) {
  return (
    <g>
      <rect x={x} y={8} width={14} height={50} rx={4} fill="var(--wood)" stroke="var(--wood-line)" />
      {Array.from({ length: turns }, (_, i) => (
        <path
          key={i}
          d={`M${x - 4 - i * 2.2},${50 - i * 7}H${x + 18 + i * 2.2}`}
          {...STRING}
          strokeWidth={3.4}
          stroke={i < fresh ? 'var(--verdigris)' : 'var(--line)'}
          transform={i >= turns - lifted ? 'translate(0 -8)' : undefined}
        />
      ))}
    </g>
  )
}

export function Covered({ way }: { way: Habits['covered'] }) {
  switch (way) {
    case 'by time and retunes':
      return (
        <g>
          <circle cx={34} cy={32} r={20} {...INK} />
          <path d="M34,32V18M34,32L44,38" {...INK} strokeWidth={2} />
          <text x={62} y={37} fontSize={13} fill="var(--ink)">
            + n
          </text>
        </g>
      )
    case 'uncover and put back':
      return <Foot x={40} turns={4} fresh={1} lifted={2} />
    case 'redo that foot':
      return (
        <g>
          <Foot x={18} turns={4} fresh={4} />
          <Foot x={64} turns={3} />
        </g>
      )
    case 'redo all':
      return (
        <g>
          <Foot x={18} turns={4} fresh={4} />
          <Foot x={64} turns={3} fresh={3} />
        </g>
      )
  }
}

export function Feet({ way }: { way: Habits['feet'] }) {
  switch (way) {
    case 'by thickness':
      return (
        <g>
          <Foot x={18} turns={3} />
          <Foot x={64} turns={4} />
          <path d="M10,62H40M56,62H86" {...INK} />
        </g>
      )
    case 'four low and three high':
      return (
        <g>
          <Foot x={18} turns={4} fresh={4} />
          <Foot x={64} turns={3} />
        </g>
      )
    case 'three and four when the basses are thick':
      return (
        <g>
          <Foot x={18} turns={3} fresh={3} />
          <Foot x={64} turns={4} />
        </g>
      )
  }
}

export function OctaveNames({ way }: { way: Habits['octaveNames'] }) {
  const text = {
    'as its players do': '3rd G, 4',
    'E-to-F octaves': '3rd G',
    'its number': '22',
    'the maker’s': 'M 22',
  }[way]
  return (
    <g>
      <path d="M14,6V58M30,6V58M46,6V58" stroke="var(--line)" strokeWidth={2} />
      <path d="M30,6V58" {...STRING} />
      <text x={54} y={38} fontSize={15} fontWeight={600} fill="var(--ink)">
        {text}
      </text>
    </g>
  )
}

export function Hand({ way }: { way: Habits['hand'] }) {
  return (
    <g transform={way === 'left' ? 'translate(96 0) scale(-1 1)' : undefined}>
      <circle cx={48} cy={22} r={9} {...INK} />
      <path d="M48,31V60" {...STRING} />
      <path d="M57,22H86M80,14H88V30H80" {...INK} strokeWidth={2.6} />
      <path d="M40,44Q28,42 18,52" {...INK} strokeDasharray="3 2" />
    </g>
  )
}
