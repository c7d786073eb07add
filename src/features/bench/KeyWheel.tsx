'use client'

import { Handle } from '@/drawings/drag/Handle'
import { useDrag, type Spot } from '@/drawings/drag/use-drag'

interface KeyWheelProps {
  /** Degrees that the key was turned. */
  readonly turned: number
  readonly ratio: number
  readonly clockwise: boolean
  /** Pin and string, m, drawn to one scale. */
  readonly pin: number
  readonly gauge: number
  readonly broken: boolean
  readonly onTurn: (by: number) => void
}

const ARM = 78

/** The key on its pin, seen from its end: dragged round it winds, one turn for one turn. */
export function KeyWheel({ turned, ratio, clockwise, pin, gauge, broken, onTurn }: KeyWheelProps) {
  const sign = clockwise ? 1 : -1
  const angle = ({ x, y }: Spot) => (Math.atan2(y, x) * 180) / Math.PI
  const drag = useDrag((to, from) => {
    // The short way round, so that passing straight above or below the pin is no leap.
    const by = ((angle(to) - angle(from) + 540) % 360) - 180
    onTurn(by * sign)
  })
  const radians = ((turned * sign - 90) * Math.PI) / 180
  const at: readonly [number, number] = [Math.cos(radians) * ARM, Math.sin(radians) * ARM]
  const radius = 30
  const thick = Math.max(2.5, (gauge / pin) * 2 * radius)
  const pinTurn = (turned / ratio) * sign
  return (
    <svg
      viewBox="-100 -100 200 210"
      className="mx-auto max-h-60 w-full"
      role="img"
      aria-label={`The key has gone ${turned.toFixed(0)} degrees ${clockwise ? 'clockwise' : 'anticlockwise'}`}
    >
      <circle r={ARM} fill="none" stroke="var(--rule)" strokeWidth={1.5} strokeDasharray="3 5" />
      <path
        d={`M${-sign * (radius + thick / 2)},104V0`}
        stroke={broken ? 'var(--ochre)' : 'var(--verdigris)'}
        strokeWidth={thick}
      />
      <circle
        r={radius + thick}
        fill="var(--verdigris)"
        opacity={turned / ratio > 180 && !broken ? 1 : 0.3}
      />
      <circle r={radius} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} />
      <g transform={`rotate(${pinTurn})`}>
        <path
          d={`M-4,${-radius}V${radius}M4,${-radius}V${radius}`}
          stroke="var(--line)"
          strokeDasharray="4 3"
        />
      </g>
      <path d={`M0,0L${at[0]},${at[1]}`} stroke="var(--ink)" strokeWidth={5} strokeLinecap="round" />
      <rect
        x={-9}
        y={-9}
        width={18}
        height={18}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
        transform={`rotate(${turned * sign})`}
      />
      <Handle drag={drag} at={at} r={11} name="key" />
    </svg>
  )
}
