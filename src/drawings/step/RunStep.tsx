'use client'

import type { FittingContext } from '@/core/fitting/context'
import type { Habits } from '@/core/fitting/habits'
import { placesTouched } from '@/core/fitting/places-touched'
import { isInBox } from '@/core/knots/fastenings'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { Arrow, arrowHead, Dimension, PART, Sheet, STRING, WOOD } from './sheet'

/** Each way of helping a string settle, as its drawing is titled. */
const WAYS_OF_HELPING: Readonly<Record<Habits['stretching'], string>> = {
  'leave it alone': 'left alone',
  'gentle pulls': 'gently along it',
  'bending aside': 'a little aside, here and there',
  'rubbing warm': 'rubbed warm along it',
  'big sideways motions': 'from board to far out',
}

const TOP = 22
const BOTTOM = 206
const X = 112
/** The number of a lever lies lower than it, clear of that of the pin above it. */
const BESIDE = 8

/** The string from its pin to its fastening, to scale along it: the places to feel, or the pulls that help it settle. */
export function RunStep({
  context: { position, habits },
  mode,
}: {
  context: FittingContext
  mode: 'feel' | 'pulls'
}) {
  const { units } = useWorkshop()
  const helpedBy = habits.stretching
  const span = BOTTOM - TOP
  const bridge = TOP + Math.max(26, span * Math.min(0.5, position.head.pin.toBridge / position.freeLength))
  const board = Math.min(
    BOTTOM - 18,
    bridge +
      (span - (bridge - TOP)) *
        Math.min(0.97, position.speakingLength / (position.freeLength - position.head.pin.toBridge)),
  )
  const lever = position.mechanism ? bridge + Math.max(16, (board - bridge) * 0.06) : null
  const places = placesTouched(position).map(({ at, name }) => ({
    y: {
      pin: TOP,
      upper: bridge,
      mechanism: (lever ?? bridge) + BESIDE,
      bridge: board,
      lower: isInBox(position) ? board : BOTTOM,
    }[at],
    word: name,
  }))
  return (
    <Sheet
      title={
        mode === 'feel'
          ? `What the string touched: ${places.map((p) => p.word).join(', ')}`
          : WAYS_OF_HELPING[helpedBy]
      }
      note="to scale along the string"
    >
      <path d={`M${X},${TOP}V${BOTTOM}`} {...STRING} strokeWidth={3.4} />
      <rect x={X - 44} y={board} width={88} height={8} {...WOOD} />
      <circle cx={X} cy={TOP} r={10} {...PART} />
      <circle cx={X + 6} cy={bridge} r={5} {...PART} />
      {lever !== null && <rect x={X - 9} y={lever - 4} width={18} height={8} {...PART} />}
      {mode === 'feel' &&
        places.map(({ y, word }, i) => (
          <g key={word}>
            <circle cx={X + 34} cy={y} r={9} fill="var(--verdigris)" />
            <text
              x={X + 34}
              y={y}
              fontSize={11}
              fontWeight={700}
              textAnchor="middle"
              dominantBaseline="central"
              fill="var(--on-verdigris)"
            >
              {i + 1}
            </text>
            <text x={X + 50} y={y} dominantBaseline="central" fill="var(--ink)">
              {word}
            </text>
          </g>
        ))}
      {mode === 'pulls' && (helpedBy === 'gentle pulls' || helpedBy === 'rubbing warm') && (
        <Arrow
          d={`M${X + 26},${(bridge + board) / 2 - 14}V${bridge + 14}${arrowHead([X + 26, bridge + 14], -90)}M${X + 26},${(bridge + board) / 2 + 14}V${board - 14}${arrowHead([X + 26, board - 14], 90)}`}
        />
      )}
      {mode === 'pulls' &&
        (helpedBy === 'bending aside' || helpedBy === 'big sideways motions') &&
        [0.25, 0.5, 0.75]
          .slice(helpedBy === 'bending aside' ? 0 : 1, helpedBy === 'bending aside' ? 3 : 2)
          .map((share) => {
            const y = bridge + (board - bridge) * share
            const far = X + (helpedBy === 'bending aside' ? 34 : 84)
            return <Arrow key={share} d={`M${X + 8},${y}H${far}${arrowHead([far, y], 0)}`} />
          })}
      {mode === 'pulls' && (
        <text x={X + 92} y={(bridge + board) / 2 - 14} fill="var(--ink)" dominantBaseline="central">
          {WAYS_OF_HELPING[helpedBy]}
        </text>
      )}
      <Dimension
        from={[X - 26, bridge]}
        to={[X - 26, board]}
        text={measureText(measure('length', position.speakingLength), units)}
        beside={-6}
      />
    </Sheet>
  )
}
