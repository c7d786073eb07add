import type { ReactNode } from 'react'
import type { Sign } from '@/core/wear/signs'

/** What each sign looks like, drawn: a short piece of string, many times its size. */
export function SignDrawing({ sign, className }: { readonly sign: Sign; readonly className?: string }) {
  return (
    <svg viewBox="0 0 120 44" className={className} aria-hidden>
      {DRAWN[sign]}
    </svg>
  )
}

const body = (fill: string, from = 0, to = 120) => (
  <path d={`M${from},14H${to}V30H${from}Z`} fill={fill} stroke="var(--ink)" strokeWidth={1} />
)
const GUT = 'var(--gut-light)'
const twist = (from: number, to: number, stroke = 'var(--gut)') =>
  Array.from({ length: Math.floor((to - from) / 9) }, (_, i) => (
    <path key={i} d={`M${from + 4 + i * 9},30l8,-16`} stroke={stroke} strokeWidth={1.2} />
  ))

const DRAWN: Readonly<Record<Sign, ReactNode>> = {
  'varnish worn': (
    <>
      {body(GUT)}
      <path d="M2,18H40M82,18H118" stroke="var(--paper)" strokeWidth={3} />
      {twist(42, 84)}
    </>
  ),
  fraying: (
    <>
      {body(GUT)}
      {twist(2, 118)}
      <path
        d="M44,14q6,-8 14,-10M52,14q4,-9 3,-13M63,30q5,9 14,11M70,14q8,-7 15,-5M56,30q-4,7 -11,9"
        fill="none"
        stroke="var(--gut)"
        strokeWidth={1.4}
      />
    </>
  ),
  dents: (
    <>
      <path d="M0,14H40q6,6 12,0H78l6,4 6,-4H120V30H0Z" fill={GUT} stroke="var(--ink)" strokeWidth={1} />
      <path d="M46,18v6M84,20v5" stroke="var(--ink)" strokeWidth={1} strokeDasharray="2 2" />
    </>
  ),
  discoloured: (
    <>
      {body(GUT)}
      <path d="M36,14.5H88V29.5H36Z" fill="var(--gut)" opacity={0.75} />
      <path d="M50,14.5H74V29.5H50Z" fill="var(--wood-line)" opacity={0.7} />
    </>
  ),
  'false tone': (
    <>
      <path d="M0,22C20,4 40,4 60,22S100,40 120,22" fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      <path
        d="M0,22C17,8 34,6 51,22S94,36 120,22"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.2}
        strokeDasharray="4 3"
      />
    </>
  ),
  'lever marks': (
    <>
      <path
        d="M0,14H62l3,4 3,-4H120V30H68l-3,-4 -3,4H0Z"
        fill="var(--nylon-light)"
        stroke="var(--ink)"
        strokeWidth={1}
      />
      <path d="M50,2h14v10h-14z" fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.4} />
    </>
  ),
  rust: (
    <>
      {body('var(--wire-light)')}
      {[
        [22, 19, 3],
        [41, 26, 2],
        [58, 20, 4],
        [76, 25, 2.4],
        [97, 19, 3],
      ].map(([x, y, r]) => (
        <circle key={x} cx={x} cy={y} r={r} fill="var(--wound)" stroke="var(--ink)" strokeWidth={0.6} />
      ))}
    </>
  ),
  'wrap loose': (
    <>
      <path d="M0,19H120V25H0Z" fill="var(--wire-light)" stroke="var(--ink)" strokeWidth={0.8} />
      {[4, 11, 18, 25, 32, 43, 57, 68, 80, 87, 94, 101, 108, 115].map((x) => (
        <path key={x} d={`M${x - 2},31l5,-18`} stroke="var(--wound)" strokeWidth={4.6} />
      ))}
    </>
  ),
  'steep at the board': (
    <>
      <path
        d="M0,28H50V44H0ZM70,28H120V44H70Z"
        fill="var(--wood)"
        stroke="var(--wood-line)"
        strokeWidth={1}
      />
      <path d="M44,26h9v18M76,26h-9v18" fill="none" stroke="var(--ink)" strokeWidth={2} />
      <path d="M60,44V30Q61,25 70,22L120,4" fill="none" stroke="var(--gut)" strokeWidth={6} />
    </>
  ),
}
