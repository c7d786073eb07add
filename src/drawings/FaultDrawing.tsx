'use client'

import { faultFacts, type Fault } from '@/core/practice/faults'
import type { StringFigures } from '@/core/fitting/figures'

interface FaultDrawingProps {
  readonly fault: Fault
  readonly figures: StringFigures
  readonly title: string
  /** Whether the place of the fault is shown. */
  readonly isTold: boolean
  readonly className?: string
}

/** A string as it was put on: its pin, where it leads past, and its lower end. */
export function FaultDrawing({ fault, figures, title, isTold, className }: FaultDrawingProps) {
  const { mechanism, tail, head } = figures.position
  const upright = head.pin.setting === 'upright'
  const isLoop = LOOPED.has(tail.fastening)
  return (
    <svg viewBox="0 0 340 290" className={className} role="img" aria-label={title}>
      <g transform={upright ? UPRIGHT : undefined}>
        <Winding fault={fault} figures={figures} upright={upright} />
        {isTold && faultFacts(fault).at === 'pin' && <Ring fault={fault} figures={figures} />}
      </g>
      <g fontSize={11} fill="var(--soft)">
        <text x={upright ? 110 : 5} y={upright ? 180 : 30}>
          wood
        </text>
        <text x={upright ? 84 : 204} y={upright ? 16 : 63}>
          end of the pin
        </text>
      </g>
      {!upright && <Way fault={fault} figures={figures} mechanism={mechanism} />}
      {isLoop ? (
        <Hitch isHigh={fault === 'loop not seated'} />
      ) : (
        tail.boardThickness > 0 && <Below fault={fault} />
      )}
      {isTold && faultFacts(fault).at !== 'pin' && <Ring fault={fault} figures={figures} />}
    </svg>
  )
}

const LOOPED: ReadonlySet<string> = new Set(['loop on a hitch pin', 'loop through itself'])

/** The widest bank that has room in the picture, in wraps. */
const MOST_DRAWN = 6
const STEP = 13

/** Where the wraps lie: the hole, each wrap, and the last of them. */
function laidOut(fault: Fault, figures: StringFigures) {
  const wraps =
    fault === 'too few wraps' ? 1 : Math.min(MOST_DRAWN, Math.max(2, Math.round(figures.wrapsWanted)))
  const outward = fault === 'wound toward the end'
  const hole = outward ? 92 : 112
  const at = (i: number) => hole + (outward ? 1 : -1) * (i + 0.9) * STEP
  return { wraps, hole, at, lasts: at(wraps - 1) }
}

/** Stands the pin up: the wood below it, the string to the right. */
const UPRIGHT = 'translate(1,200) rotate(-90)'

/** The pin with its wraps: the wood to the left, its end to the right. */
function Winding({ fault, figures, upright }: { fault: Fault; figures: StringFigures; upright: boolean }) {
  const { wraps, hole, at, lasts } = laidOut(fault, figures)
  return (
    <g>
      <path d="M0,14H44V104H0Z" fill="var(--wood)" />
      <path d="M44,14V104" stroke="var(--wood-line)" strokeWidth={2} />
      <path d="M44,42H196V76H44Z" fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} />
      {upright && (
        <path
          d={Array.from({ length: 4 }, (_, i) => `M${50 + i * 9},42l5,34`).join('')}
          stroke="var(--line)"
          strokeWidth={1.5}
        />
      )}
      <g fill="none" strokeLinecap="round">
        {Array.from({ length: wraps }, (_, i) => (
          <Wrap key={i} x={at(i)} />
        ))}
        {fault === 'wraps crossed' && <Wrap x={at(0.6)} slant={26} />}
        <Strand d={`M${hole},59l4,-40`} width={8} />
        <circle cx={hole} cy={59} r={4.5} fill="var(--ink)" />
        {upright && <Strand d={`M${lasts},74L${lasts + 10},330`} width={8} />}
      </g>
    </g>
  )
}

function Wrap({ x, slant = 7 }: { x: number; slant?: number }) {
  const d = `M${x - slant / 2},40L${x + slant / 2},78`
  return (
    <>
      <path d={d} stroke="var(--ink)" strokeWidth={10} />
      <path d={d} stroke="var(--verdigris-wash)" strokeWidth={7} />
    </>
  )
}

/** From the pin past the bridge pin and, where there is one, the lever or disc. */
function Way({ fault, figures, mechanism }: WayProps) {
  const { lasts } = laidOut(fault, figures)
  const x = fault === 'beside its bridge pin' ? BESIDE : IN_LINE
  const to = fault === 'outside its lever or disc' ? OUTSIDE : IN_LINE
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      <path d="M22,158H55" stroke="var(--ink)" strokeWidth={9} />
      <path d="M24,158H53" stroke="var(--wire-light)" strokeWidth={5.5} />
      <path d="M46,153v10" stroke="var(--ink)" strokeWidth={1.5} />
      <text x={110} y={162} fontSize={11} fill="var(--soft)">
        bridge pin
      </text>
      {mechanism && (
        <>
          <path d="M38,196V218M68,196V218" stroke="var(--ink)" strokeWidth={6} />
          <path d="M26,207H38M68,207H76" stroke="var(--ink)" strokeWidth={3} />
          <text x={110} y={211} fontSize={11} fill="var(--soft)">
            {mechanism === 'disc' ? 'disc, two forks' : 'lever'}
          </text>
        </>
      )}
      <Strand d={`M${lasts},74L${x},158L${x},172L${to},198L${to},250`} width={8} />
    </g>
  )
}

interface WayProps {
  readonly fault: Fault
  readonly figures: StringFigures
  readonly mechanism: 'lever' | 'disc' | null
}

/** Where the string runs: in line with its bridge pin's groove, beside it, or outside the mechanism. */
const [IN_LINE, BESIDE, OUTSIDE] = [53, 72, 88]

/** A piece of string. */
function Strand({ d, width }: { d: string; width: number }) {
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      <path d={d} stroke="var(--ink)" strokeWidth={width} />
      <path d={d} stroke="var(--verdigris-wash)" strokeWidth={width - 3} />
    </g>
  )
}

/** Where the fault is seen. */
function Ring({ fault, figures }: { fault: Fault; figures: StringFigures }) {
  const { hole, lasts } = laidOut(fault, figures)
  const places: Partial<Record<Fault, readonly [x: number, y: number, r: number]>> = {
    'wraps crossed': [(hole + lasts) / 2, 59, 34],
    'too few wraps': [(hole + lasts) / 2, 59, 30],
    'wound toward the end': [(hole + lasts) / 2, 59, 38],
    'beside its bridge pin': [64, 160, 24],
    'outside its lever or disc': [76, 207, 26],
    'tag touches': [306, 222, 20],
    'knot pulled through': [260, 202, 24],
    'loop not seated': [262, 196, 24],
  }
  const place = places[fault]
  if (!place) return null
  const [x, y, r] = place
  return (
    <circle cx={x} cy={y} r={r} fill="none" stroke="var(--ochre)" strokeWidth={3} strokeDasharray="7 5" />
  )
}

/** Inside the box: the board, its eyelet, and what hangs below it. */
function Below({ fault }: { fault: Fault }) {
  const through = fault === 'knot pulled through'
  const touches = fault === 'tag touches'
  return (
    <g>
      <path d="M200,196H246V210H200ZM274,196H330V210H274Z" fill="var(--wood)" stroke="var(--wood-line)" />
      <path d="M242,192H250V213H242ZM270,192H278V213H270Z" fill="var(--wire-light)" stroke="var(--ink)" />
      <Strand d="M260,140V214" width={8} />
      <ellipse
        cx={260}
        cy={through ? 202 : 226}
        rx={through ? 9 : 19}
        ry={through ? 16 : 13}
        fill="var(--verdigris-wash)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {!through && <path d="M238,232L284,222" stroke="var(--gut)" strokeWidth={7} strokeLinecap="round" />}
      <Strand
        d={
          touches
            ? 'M276,230C300,240 316,232 318,214'
            : `M${through ? 266 : 276},${through ? 214 : 234}C284,250 296,256 304,260`
        }
        width={6}
      />
      <text x={200} y={286} fontSize={11} fill="var(--soft)">
        inside the box
      </text>
      <text x={200} y={188} fontSize={11} fill="var(--soft)">
        board
      </text>
    </g>
  )
}

/** A hitch pin in the wood with a loop round it. */
function Hitch({ isHigh }: { isHigh: boolean }) {
  const y = isHigh ? 196 : 236
  return (
    <g>
      <path d="M200,246H330V262H200Z" fill="var(--wood)" stroke="var(--wood-line)" />
      <path d="M262,172V250" stroke="var(--ink)" strokeWidth={9} />
      <path d="M262,174V250" stroke="var(--wire-light)" strokeWidth={5.5} />
      <ellipse cx={262} cy={y} rx={13} ry={5} fill="none" stroke="var(--wire)" strokeWidth={4} />
      <path d={`M249,${y}L204,${y - 16}`} stroke="var(--wire)" strokeWidth={4} />
      <text x={200} y={282} fontSize={11} fill="var(--soft)">
        hitch pin
      </text>
    </g>
  )
}
