'use client'

import type { FittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { tailFacts } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { Arrow, arrowHead, Dimension, HEIGHT, INK, Label, PART, Sheet, STRING, WIDTH, WOOD } from './sheet'

const MID = WIDTH / 2
const BOARD_TOP = 64
/** A board thicker than this on the sheet is drawn broken. */
const MOST_BOARD = 56

interface BoardStepProps {
  readonly figures: FittingFigures
  readonly habits: Habits
  readonly stage: 'knot' | 'through' | 'seat' | 'inside'
}

/** A cut through the soundboard where the string goes through it, to scale: hole, string, knot, and what the knot rests on. */
export function BoardStep({ figures, habits, stage }: BoardStepProps) {
  const { units } = useWorkshop()
  const [string] = figures.strings
  if (!string) return null
  const { tail } = string.position
  const facts = tailFacts(tail.fastening)
  const gauge = string.gauge * 1000
  const rest = facts.hold === 'knot' ? (figures.needsAnchor ? 'anchor' : null) : facts.hold
  const bore = (tail.eyeletBore ?? string.gauge * 1.8) * 1000
  const knot = (facts.widthInGauges ?? 2.6) * gauge
  const restWidth = rest === null ? 0 : Math.max(bore * 2.2, 6)
  const scale = Math.min(18, 96 / Math.max(knot, restWidth))
  const px = (mm: number) => mm * scale
  const text = (metres: number) => measureText(measure('width', metres), units)
  const whole = px(tail.boardThickness * 1000)
  const board = Math.min(MOST_BOARD, whole)
  const under = BOARD_TOP + board
  const thick = Math.max(3, px(gauge))
  const restHigh = rest === null ? 0 : Math.max(10, px(restWidth) * 0.3)
  const seated = stage === 'seat' || stage === 'inside'
  const restTop = under + (seated ? 0 : 22)
  const knotTop = restTop + restHigh
  // Mirrored for whoever ties with the other hand: the tag and the anchor change sides, the lettering doesn't.
  const side = habits.hand === 'left' ? -1 : 1
  const inside = stage === 'through' && habits.threading === 'from inside, knot first'
  const showKnot = stage !== 'through' || inside
  const half = px(bore) / 2
  return (
    <Sheet
      title={`The soundboard cut through at the string, ${stage === 'through' ? 'the string on its way' : 'with its knot'}`}
      note={`to scale, ${scale.toFixed(0)} : 1${whole > MOST_BOARD ? ', the board broken' : ''}; the inside of the box is below`}
    >
      {[-1, 1].map((s) => (
        <path
          key={s}
          d={`M${MID + s * half},${BOARD_TOP}H${MID + s * 146}V${under}H${MID + s * half}Z`}
          {...WOOD}
        />
      ))}
      {whole > MOST_BOARD &&
        [-1, 1].map((s) => (
          <path
            key={s}
            d={`M${MID + s * half},${BOARD_TOP + board / 2 + 3}l${s * 12},-6l${s * 5},9l${s * 12},-6l${s * 5},6`}
            stroke="var(--paper)"
            strokeWidth={3}
            fill="none"
          />
        ))}
      {tail.eyeletBore !== null &&
        [-1, 1].map((s) => (
          <path
            key={s}
            d={`M${MID + s * (half + 16)},${BOARD_TOP - 2}H${MID + s * (half + 2)}V${under}`}
            {...INK}
            strokeWidth={4}
            stroke="var(--line)"
          />
        ))}
      <path
        d={`M${MID},12V${showKnot ? knotTop + thick * 0.6 : under + 40}`}
        {...STRING}
        strokeLinecap="butt"
        strokeWidth={thick}
      />
      {showKnot && rest !== null && (
        <Rest
          kind={rest}
          top={restTop}
          width={px(restWidth)}
          height={restHigh}
          front={habits.anchorPlace === 'in front of the bight'}
          thick={thick}
        />
      )}
      {showKnot && <Knot y={knotTop + thick * 0.6} width={px(knot)} thick={thick} side={side} />}
      {stage === 'through' && (
        <Arrow
          d={
            inside
              ? `M${MID + half + 30},${under + 40}V${BOARD_TOP - 14}${arrowHead([MID + half + 30, BOARD_TOP - 14], -90)}`
              : `M${MID + half + 30},${BOARD_TOP - 44}V${under + 30}${arrowHead([MID + half + 30, under + 30], 90)}`
          }
        />
      )}
      {stage === 'seat' && <Arrow d={`M${MID + half + 30},52V14${arrowHead([MID + half + 30, 14], -90)}`} />}
      {tail.boardThickness > 0 && (
        <Dimension
          from={[28, BOARD_TOP]}
          to={[28, under]}
          text={measureText(measure('length', tail.boardThickness), units)}
        />
      )}
      {tail.eyeletBore !== null && (
        <g>
          <path
            d={`M${MID - half},${BOARD_TOP - 8}v-10M${MID + half},${BOARD_TOP - 8}v-10M${MID - half},${BOARD_TOP - 13}H${MID + half}`}
            {...INK}
            strokeWidth={1}
          />
          <text
            x={MID - half - 8}
            y={BOARD_TOP - 13}
            textAnchor="end"
            dominantBaseline="central"
            fontWeight={600}
            fill="var(--ink)"
          >
            bore {text(tail.eyeletBore)}
          </text>
        </g>
      )}
      {showKnot && facts.widthInGauges !== null && (
        <g>
          <path
            d={`M${MID - px(knot) / 2},${HEIGHT - 22}v14M${MID + px(knot) / 2},${HEIGHT - 22}v14M${MID - px(knot) / 2},${HEIGHT - 15}H${MID + px(knot) / 2}`}
            {...INK}
            strokeWidth={1}
          />
          <text
            x={MID - px(knot) / 2 - 8}
            y={HEIGHT - 15}
            textAnchor="end"
            dominantBaseline="central"
            fontWeight={600}
            fill="var(--ink)"
          >
            knot {text(knot / 1000)}
          </text>
        </g>
      )}
      <Label at={[MID + thick / 2 + 70, 24]} to={[MID + thick / 2 - 2, 24]}>
        {measureText(measure('gauge', string.gauge), units)}
      </Label>
      {showKnot && rest !== null && (
        <Label
          at={[MID + side * 100, restTop + restHigh / 2 + 22]}
          to={[MID + side * (px(restWidth) / 2 - 6), restTop + restHigh / 2]}
          end={side < 0}
        >
          {rest === 'anchor' ? habits.anchor : rest}
        </Label>
      )}
      {stage === 'through' && tail.eyeletBore !== null && (
        <text x={8} y={BOARD_TOP - 26} fill="var(--ink)">
          hold the eyelet down
        </text>
      )}
    </Sheet>
  )
}

/** The tightened knot as two turns that lie side by side, with its tag. */
function Knot({ y, width, thick, side }: { y: number; width: number; thick: number; side: number }) {
  const r = Math.max(thick, width / 2 - thick / 2)
  const band = (at: number) =>
    `M${MID - side * r},${at + thick * 0.4}Q${MID},${at + thick * 0.9} ${MID + side * r},${at}`
  const tag = `M${MID + side * r * 0.4},${y + thick * 1.4}Q${MID + side * (r + 10)},${y + thick * 2} ${MID + side * (r + 34)},${y + thick * 1.2}`
  return (
    <g strokeLinecap="round" fill="none">
      {[tag, band(y + thick), band(y)].map((d) => (
        <g key={d}>
          <path d={d} stroke="var(--ink)" strokeWidth={thick + 2.5} />
          <path d={d} stroke="var(--verdigris)" strokeWidth={thick} />
        </g>
      ))}
    </g>
  )
}

interface RestProps {
  readonly kind: 'anchor' | 'bead' | 'toggle' | 'loop' | 'posts' | 'foot'
  readonly top: number
  readonly width: number
  readonly height: number
  readonly front: boolean
  readonly thick: number
}

/** What the knot rests on: a bead with the string through it, a toggle, or an anchor before or behind the bight. */
function Rest({ kind, top, width, height, front, thick }: RestProps) {
  const bight = (
    <path d={`M${MID},${top - 2}v${height + 4}`} {...STRING} strokeLinecap="butt" strokeWidth={thick} />
  )
  if (kind === 'bead')
    return (
      <g>
        <ellipse cx={MID} cy={top + height / 2} rx={width / 2} ry={height / 2} {...PART} />
        {bight}
      </g>
    )
  const bar = (
    <rect
      x={MID - width / 2}
      y={top}
      width={width}
      height={height}
      rx={height / 3}
      fill={kind === 'toggle' ? 'var(--wood)' : 'var(--gut)'}
      stroke="var(--ink)"
      strokeWidth={1.4}
    />
  )
  return (
    <g>
      {bar}
      {!front && bight}
    </g>
  )
}
