'use client'

import type { FittingFigures } from '@/core/fitting/figures'
import type { Habits } from '@/core/fitting/habits'
import { tailFacts } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { measureText } from '../../format/measure'
import { useHouse } from '../../units'
import { Arrow, arrowHead, Dimension, HEIGHT, INK, Label, PART, Sheet, STRING, WIDTH, WOOD } from './sheet'

const MID = WIDTH / 2
const BOARD_TOP = 78

interface BoardStepProps {
  readonly figures: FittingFigures
  readonly habits: Habits
  readonly stage: 'knot' | 'through' | 'seat' | 'inside'
}

/** A cut through the soundboard where the string goes through it, to scale: hole, string, knot, and what the knot rests on. */
export function BoardStep({ figures, habits, stage }: BoardStepProps) {
  const { unit } = useHouse()
  const [string] = figures.strings
  if (!string) return null
  const { tail } = string.position
  const facts = tailFacts(tail.fastening)
  const gauge = string.gauge * 1000
  const rest = facts.hold === 'knot' ? (figures.needsAnchor ? 'anchor' : null) : facts.hold
  const bore = (tail.eyeletBore ?? string.gauge * 1.8) * 1000
  const knot = (facts.widthInGauges ?? 2.6) * gauge
  const restWidth = rest === null ? 0 : Math.max(bore * 2.2, 6)
  const scale = Math.min(11, 120 / Math.max(knot, restWidth, 8), 60 / Math.max(4, tail.boardThickness * 1000))
  const px = (mm: number) => mm * scale
  const text = (metres: number) => measureText(measure('gauge', metres), unit)
  const board = px(tail.boardThickness * 1000)
  const under = BOARD_TOP + board
  const seated = stage === 'seat' || stage === 'inside'
  const knotTop = under + (seated ? (rest === null ? 0 : px(restWidth * 0.34)) : stage === 'through' ? 46 : 40)
  // Mirrored for whoever ties with the other hand: the tag and the anchor change sides, the lettering doesn't.
  const side = habits.hand === 'left' ? -1 : 1
  const inside = stage === 'through' && habits.threading === 'from inside, knot first'
  const showKnot = stage !== 'through' || inside
  return (
    <Sheet title={`The soundboard cut through at the string, ${stage === 'through' ? 'the string on its way' : 'with its knot'}`} note={`to scale, ${scale.toFixed(0)} : 1; the inside of the box is below`}>
      <rect x={14} y={BOARD_TOP} width={MID - px(bore) / 2 - 14} height={board} {...WOOD} />
      <rect x={MID + px(bore) / 2} y={BOARD_TOP} width={WIDTH - 14 - MID - px(bore) / 2} height={board} {...WOOD} />
      {tail.eyeletBore !== null && [-1, 1].map((s) => <path key={s} d={`M${MID + s * (px(bore) / 2 + 14)},${BOARD_TOP - 3}H${MID + s * px(bore) / 2}V${under}`} {...INK} strokeWidth={4} stroke="var(--line)" />)}
      <path d={`M${MID},${stage === 'through' && !inside ? 26 : 16}V${showKnot ? knotTop + 4 : under + 44}`} {...STRING} strokeWidth={Math.max(2, px(gauge))} />
      {showKnot && rest !== null && <Rest kind={rest} y={knotTop - px(restWidth * 0.17)} width={px(restWidth)} behind={habits.anchorPlace === 'behind the bight'} side={side} />}
      {showKnot && <Knot x={MID} y={knotTop} width={px(knot)} thick={Math.max(2, px(gauge))} side={side} />}
      {showKnot && rest === 'anchor' && habits.anchorPlace === 'in front of the bight' && <Rest kind="anchor" y={knotTop + px(knot) * 0.35} width={px(restWidth)} behind={false} side={side} />}
      {stage === 'through' && <Arrow d={inside ? `M${MID + 34},${under + 34}V${BOARD_TOP - 10}${arrowHead([MID + 34, BOARD_TOP - 10], -90)}` : `M${MID + 34},${BOARD_TOP - 44}V${under + 20}${arrowHead([MID + 34, under + 20], 90)}`} />}
      {stage === 'seat' && <Arrow d={`M${MID + 30},54V14${arrowHead([MID + 30, 14], -90)}`} />}
      {tail.boardThickness > 0 && <Dimension from={[30, BOARD_TOP]} to={[30, under]} text={measureText(measure('length', tail.boardThickness), unit)} />}
      {tail.eyeletBore !== null && <Dimension from={[MID - px(bore) / 2, BOARD_TOP - 16]} to={[MID + px(bore) / 2, BOARD_TOP - 16]} text={text(tail.eyeletBore)} />}
      {stage !== 'through' && facts.widthInGauges !== null && <Dimension from={[MID - px(knot) / 2, HEIGHT - 18]} to={[MID + px(knot) / 2, HEIGHT - 18]} text={`knot ${text(knot / 1000)}`} />}
      <Label at={[MID + 76, 30]} to={[MID + 1, 40]}>{text(string.gauge)}</Label>
      {tail.eyeletBore !== null && stage === 'through' && <Label at={[MID - 70, 40]} to={[MID - px(bore) / 2 - 8, BOARD_TOP - 2]} end>hold the eyelet</Label>}
      {showKnot && rest !== null && <Label at={[MID + side * 92, Math.min(HEIGHT - 44, knotTop + 44)]} to={[MID + side * (px(restWidth) / 2 - 3), knotTop - px(restWidth * 0.1)]} end={side < 0}>{rest === 'anchor' ? habits.anchor : rest}</Label>}
    </Sheet>
  )
}

/** The tightened knot as two turns round the standing part, with its tag. */
function Knot({ x, y, width, thick, side }: { x: number; y: number; width: number; thick: number; side: number }) {
  const r = width / 2
  return (
    <g {...STRING} strokeWidth={thick}>
      <path d={`M${x},${y}q${side * r},0 ${side * r * 0.9},${r * 0.55}t${-side * r * 1.8},${r * 0.5}t${side * r * 1.5},${r * 0.55}`} />
      <path d={`M${x - side * r * 0.9},${y + r * 0.35}q${side * r},${-r * 0.3} ${side * r * 1.8},${r * 0.35}`} />
      <path d={`M${x + side * r * 0.6},${y + r * 1.6}l${side * (r * 0.6 + 14)},12`} />
    </g>
  )
}

function Rest({ kind, y, width, behind, side }: { kind: 'anchor' | 'bead' | 'toggle' | 'loop' | 'posts' | 'foot'; y: number; width: number; behind: boolean; side: number }) {
  const h = Math.max(10, width * 0.3)
  if (kind === 'bead') return <g><ellipse cx={MID} cy={y} rx={width / 2} ry={h * 0.8} {...PART} /><path d={`M${MID},${y - h * 0.8}V${y + h * 0.8}`} {...INK} strokeDasharray="3 2" /></g>
  const fill = kind === 'toggle' ? 'var(--wood)' : 'var(--gut)'
  return <rect x={MID - width / 2 + side * (behind ? 0 : 3)} y={y - h / 2} width={width} height={h} rx={h / 3} fill={fill} stroke="var(--ink)" strokeWidth={1.4} />
}
