'use client'

import { measure } from '@/core/measure'
import { Handle } from '@/drawings/drag/Handle'
import { useDrag } from '@/drawings/drag/use-drag'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

interface StringRunProps {
  /** m */
  readonly free: number
  readonly speaking: number
  /** Left before winding began, and left now, m. */
  readonly slack: number
  readonly slackLeft: number
  readonly tail: number
  /** N */
  readonly tension: number
  readonly atPitch: number
  readonly broken: boolean
  readonly onSlack: (slack: number) => void
  readonly onTail: (tail: number) => void
}

const WIDTH = 640
const HEIGHT = 214
const LEFT = 40
const RIGHT = 130
const LINE = 56
/** A polyline of so many pieces bows smoothly. */
const PIECES = 32

/** The string from its knot to its pin, to scale along it: it bows while there is slack; the bow is pulled for more of it, and the tail's end for a longer cut. */
export function StringRun({
  free,
  speaking,
  slack,
  slackLeft,
  tail,
  tension,
  atPitch,
  broken,
  onSlack,
  onTail,
}: StringRunProps) {
  const { units } = useWorkshop()
  const length = WIDTH - LEFT - RIGHT
  const perMetre = length / free
  const pin = LEFT + length
  const bridge = LEFT + length * Math.min(0.97, speaking / free)
  const middle = LEFT + length / 2
  // Pulled aside by p at mid-length it is 2 √((L/2)² + p²) long.
  const pull = (s: number) => Math.sqrt(((free + s) / 2) ** 2 - (free / 2) ** 2) * perMetre
  // By how far the pointer moves, not to where: a knob at the edge of the drawing stands for more than it shows.
  const dragSlack = useDrag((to, from) => {
    const p = Math.max(0, pull(slack) + to.y - from.y) / perMetre
    onSlack(2 * Math.hypot(free / 2, p) - free)
  })
  const dragTail = useDrag((to, from) => onTail(Math.max(0.01, tail + (to.x - from.x) / perMetre)))
  // A shallow bow of length L + s sags by about √(3 L s / 8) in the middle.
  const sag = Math.min(110, Math.sqrt((3 * free * slackLeft) / 8) * perMetre)
  const bow = Array.from({ length: PIECES + 1 }, (_, i) => {
    const t = i / PIECES
    return `${(LEFT + length * t).toFixed(1)},${(LINE + 4 * sag * t * (1 - t)).toFixed(1)}`
  }).join('L')
  const share = Math.min(1, tension / atPitch)
  const end = pin + Math.min(RIGHT - 30, Math.max(14, tail * perMetre))
  const knob = Math.min(HEIGHT - 22, LINE + pull(slack))
  const text = (metres: number) => measureText(measure('length', metres), units)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={
        broken ? 'The string has broken' : slackLeft > 0 ? 'The string hangs slack' : 'The string is tight'
      }
    >
      <rect x={LEFT - 18} y={LINE - 36} width={16} height={72} fill="var(--wood)" stroke="var(--wood-line)" />
      <path d={`M${pin},${LINE}H${end}`} stroke="var(--verdigris)" strokeWidth={2} strokeLinecap="round" />
      <circle cx={pin} cy={LINE} r={10} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} />
      <circle cx={pin} cy={LINE} r={2.4} fill="var(--ink)" />
      <circle cx={bridge} cy={LINE + 7} r={5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.2} />
      {broken ? (
        <path
          d={`M${LEFT},${LINE}q80,-6 130,16m16,14q-20,-2 -14,-18M${pin},${LINE}q-90,12 -150,-12m-12,-18q16,2 12,18`}
          fill="none"
          stroke="var(--ochre)"
          strokeWidth={2.6}
          strokeLinecap="round"
        />
      ) : (
        <path
          d={`M${bow}`}
          fill="none"
          stroke="var(--verdigris)"
          strokeWidth={1.8 + 1.8 * share}
          strokeLinecap="round"
        />
      )}
      <path
        d={`M${LEFT},${LINE}L${middle},${knob}L${pin},${LINE}`}
        fill="none"
        stroke="var(--line)"
        strokeDasharray="4 4"
      />
      <Handle drag={dragSlack} at={[middle, knob]} r={8} name="slack" />
      <Handle drag={dragTail} at={[end, LINE]} r={8} name="tail" />
      <g fontSize={13} fill="var(--soft)" textAnchor="middle">
        <text x={LEFT - 18} y={LINE + 54} textAnchor="start">
          board
        </text>
        <text x={bridge} y={LINE - 14}>
          bridge pin
        </text>
        <text x={pin} y={LINE + 30}>
          pin
        </text>
        <text x={end} y={LINE - 16} fill="var(--ink)">
          tail {text(tail)}
        </text>
        <text x={middle + 18} y={knob + 5} textAnchor="start" fill="var(--ink)">
          slack {text(slack)}: pulls {text(Math.sqrt((free + slack) ** 2 - free ** 2) / 2)} aside
        </text>
      </g>
    </svg>
  )
}
