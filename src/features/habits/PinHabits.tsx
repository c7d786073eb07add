/** Small drawings of what is done on the pin: one for each way. */
import type { ReactNode } from 'react'
import type { Habits } from '@/core/fitting/habits'
import { layWraps, type WrapLay } from '@/core/winding/lay'
import { INK, STRING } from './strokes'

const SOFT = { stroke: 'var(--line)', fill: 'none', strokeWidth: 1 } as const

const HOLE = 62
const GAUGE = 6

/** A pin that lies in its wood at the left, with wraps laid on it and the string leaving downward. */
function Pin({ wraps, lay, toBridge = null }: { wraps: number; lay: WrapLay; toBridge?: number | null }) {
  const laid = layWraps(wraps, GAUGE, lay)
  const x = (offset: number) => HOLE - offset
  const exit = x(laid.exit)
  return (
    <g>
      <rect x={4} y={4} width={26} height={56} fill="var(--wood)" />
      <path d="M30,4V60" stroke="var(--wood-line)" strokeWidth={1.4} />
      <path d="M30,16H88V34H30" fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.4} />
      {[...laid.turns]
        .sort((a, b) => Number(a.over) - Number(b.over))
        .map((turn, i) => (
          <path
            key={i}
            d={`M${x(turn.offset) + 2},13L${x(turn.offset) - 2},37`}
            {...STRING}
            strokeWidth={turn.over ? 5.6 : 4.4}
            stroke={turn.over ? 'var(--ink)' : 'var(--verdigris)'}
          />
        ))}
      <circle cx={HOLE} cy={25} r={2.6} fill="var(--ink)" />
      <path d={`M${exit},36L${toBridge ?? exit},60`} {...STRING} />
      {toBridge !== null && <circle cx={toBridge} cy={58} r={3.4} {...INK} fill="var(--paper)" />}
    </g>
  )
}

export function WrapsBy({ way }: { way: Habits['wrapsBy'] }) {
  return way === 'a number of wraps' ? (
    <Pin wraps={3} lay="toward the wood" toBridge={38} />
  ) : (
    <Pin wraps={4} lay="toward the wood" toBridge={38} />
  )
}

export function WindToward({ way }: { way: Habits['windToward'] }) {
  if (way === 'the wood') return <Pin wraps={3} lay="toward the wood" />
  if (way === 'the wood, then outward over it') return <Pin wraps={4} lay="then outward over it" />
  if (way === 'above, below, above the hole') return <Pin wraps={3} lay="above, below, above" />
  return (
    <g>
      <rect x={4} y={48} width={88} height={14} fill="var(--wood)" />
      <path d="M4,48H92" stroke="var(--wood-line)" strokeWidth={1.4} />
      <path d="M38,48V6H56V48" fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.4} />
      {[20, 26, 32].map((y) => (
        <path key={y} d={`M35,${y + 2}L59,${y - 2}`} {...STRING} strokeWidth={4.4} />
      ))}
      <circle cx={47} cy={13} r={2.6} fill="var(--ink)" />
      <path d="M58,31L92,36" {...STRING} />
    </g>
  )
}

const PINS = Array.from({ length: 8 }, (_, i) => [10 + i * 11, 14 + i * 4] as const)

/** A row of pins with a string pinched at the first and the pinch carried along. */
function Reach({ pins }: { pins: number }) {
  const [x, y] = [10 + pins * 11, 14 + pins * 4]
  return (
    <g>
      <path d={`M10,14L${x},${y}`} stroke="var(--verdigris)" strokeWidth={4} strokeLinecap="round" />
      {PINS.map(([px, py], i) => (
        <circle
          key={i}
          cx={px}
          cy={py}
          r={3.2}
          fill={i === 0 ? 'var(--verdigris)' : 'var(--paper)'}
          stroke="var(--ink)"
        />
      ))}
      <path d={`M10,20V60`} {...STRING} strokeWidth={1.8} />
      <text x={x} y={y + 16} fontSize={11} textAnchor="middle" fill="var(--ink)">
        {pins}
      </text>
    </g>
  )
}

export function SlackBy({ way }: { way: Habits['slackBy'] }) {
  if (way === 'pins') return <Reach pins={4} />
  if (way === 'length past the pin') {
    return (
      <g>
        <circle cx={30} cy={24} r={9} {...INK} fill="var(--paper)" />
        <path d="M30,60V24L30,10H78" {...STRING} />
        <path d="M30,4H78M30,1V8M78,1V8" {...INK} strokeWidth={1} />
      </g>
    )
  }
  return (
    <g>
      <path d="M20,6V60" {...SOFT} strokeDasharray="3 3" />
      <path d="M20,6L66,33L20,60" {...STRING} />
      <path d="M20,33H66M24,30L20,33L24,36M62,30L66,33L62,36" {...INK} strokeWidth={1} />
      <circle cx={20} cy={6} r={4} {...INK} fill="var(--paper)" />
    </g>
  )
}

export function SlackInterval({ way }: { way: Habits['slackInterval'] }) {
  return <Reach pins={{ 'a fifth': 4, 'half an octave': 3.5, 'an octave': 7 }[way]} />
}

export function SlackToward({ way }: { way: Habits['slackToward'] }) {
  return (
    <g transform={way === 'toward the treble' ? 'translate(96 0) scale(-1 1)' : undefined}>
      <Reach pins={4} />
    </g>
  )
}

export function Spacing({ way }: { way: Habits['spacing'] }) {
  return (
    <g>
      {PINS.slice(0, 6).map(([x, y], i) => (
        <g key={i}>
          <circle cx={x} cy={y + 6} r={3.2} fill="var(--paper)" stroke="var(--ink)" />
          <path d={`M${x},${y + 12}V62`} {...SOFT} />
        </g>
      ))}
      {way === 'along the neck' ? (
        <path d="M11,13L64,32.5" {...STRING} />
      ) : (
        <path d="M10,50H65M10,46V54M65,46V54" {...STRING} />
      )}
    </g>
  )
}

/** A pin seen from its end: the hole upright, the string coming up to it. */
function End({ children, turned = 0 }: { children: ReactNode; turned?: number }) {
  return (
    <g>
      <circle cx={48} cy={30} r={17} {...INK} fill="var(--paper)" />
      <path d="M46,13V47M50,13V47" {...SOFT} transform={`rotate(${turned} 48 30)`} />
      {children}
    </g>
  )
}
const turn = (degrees: number) => {
  const a = ((degrees - 90) * Math.PI) / 180
  return (
    <path
      d={`M48,6A24,24 0 ${degrees > 180 ? 1 : 0} 1 ${48 + 24 * Math.cos(a)},${30 + 24 * Math.sin(a)}`}
      {...INK}
      strokeDasharray="3 2"
    />
  )
}

export function Becket({ way }: { way: Habits['becket'] }) {
  return way === 'before turning' ? (
    <End>
      <path d="M48,64V12L62,8" {...STRING} />
    </End>
  ) : (
    <End>
      {turn(180)}
      <path d="M31,64V30A17,17 0 0 1 48,13V48L62,54" {...STRING} />
    </End>
  )
}

export function Lock({ way }: { way: Habits['lock'] }) {
  switch (way) {
    case 'as charted':
      return (
        <g>
          <path d="M14,10H82V56H14ZM14,22H82M14,34H82M14,45H82M36,10V56" {...SOFT} />
          <path d="M42,39H74" {...STRING} />
        </g>
      )
    case 'none':
      return (
        <End>
          <path d="M31,64V30A17,17 0 0 1 65,30A17,17 0 0 1 48,47V12L60,4" {...STRING} />
        </End>
      )
    case 'tail tucked, before turning':
      return (
        <End>
          <path d="M31,64V30A17,17 0 0 1 48,13V47Q28,52 26,30" {...STRING} />
        </End>
      )
    case 'tail tucked, after a quarter':
      return (
        <End turned={90}>
          {turn(90)}
          <path d="M31,64V30H66Q70,48 50,52" {...STRING} />
        </End>
      )
    case 'tail tucked, after half a turn':
      return (
        <End>
          {turn(180)}
          <path d="M31,64V30A17,17 0 0 1 48,13V47Q66,52 68,32" {...STRING} />
        </End>
      )
    case 'hitched round the string':
      return (
        <End>
          <path d="M48,64V13" {...STRING} />
          <path d="M48,13Q70,16 70,36Q70,52 48,52Q34,52 34,44" {...STRING} />
        </End>
      )
    case 'second wrap crossed':
      return <Pin wraps={3} lay="second crossed over" />
    case 'kinked both sides':
      return (
        <End>
          <path d="M48,64Q30,58 48,47V13Q66,4 76,14" {...STRING} />
        </End>
      )
  }
}
