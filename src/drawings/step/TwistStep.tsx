'use client'

import type { FittingContext } from '@/core/fitting/context'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { Dimension, Label, PART, Sheet, STRING, WIDTH } from './sheet'

const LEFT = 20
const MIDDLE = 96
const RIGHT = 24

/** A twisted loop from the side, to scale: the eye, both legs round each other, and the short leg wound close. */
export function TwistStep({ context: { figures } }: { readonly context: FittingContext }) {
  const { units } = useWorkshop()
  const { twist } = figures
  if (!twist) return null
  const gauge = figures.strings[0]?.gauge ?? 0
  const pitch = Math.PI * gauge
  const [eyeWide, open, close] = [twist.eye + 2 * gauge, twist.openTurns * pitch, twist.closeTurns * gauge]
  const scale = (WIDTH - LEFT - RIGHT - 60) / (eyeWide + open + close)
  const thick = gauge * scale
  const from = LEFT + eyeWide * scale
  const to = from + open * scale
  const end = to + close * scale
  const eye = ((twist.eye + gauge) * scale) / 2
  const leg = (side: 1 | -1, start: number, until: number) => {
    const steps = Math.max(2, Math.ceil((until - start) / 2))
    return Array.from({ length: steps + 1 }, (_, i) => {
      const x = start + ((until - start) * i) / steps
      const y = MIDDLE + (side * thick * Math.cos((2 * Math.PI * (x - from)) / (pitch * scale))) / 2
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(2)},${y.toFixed(2)}`
    }).join('')
  }
  const half = (pitch * scale) / 2
  return (
    <Sheet
      title="A twisted loop: the eye, the open turns and the close turns"
      note={`from the side, to scale, ${(scale / 1000).toFixed(0)} : 1`}
    >
      <circle
        cx={from - eye - thick / 2}
        cy={MIDDLE}
        r={Math.max(2, eye - thick / 2)}
        {...PART}
        strokeDasharray="3 3"
      />
      <path
        d={`M${from},${MIDDLE - thick / 2}C${from - thick},${MIDDLE - eye} ${from - eye},${MIDDLE - eye} ${from - eye - thick / 2},${MIDDLE - eye}A${eye},${eye} 0 0 0 ${from - eye - thick / 2},${MIDDLE + eye}C${from - eye},${MIDDLE + eye} ${from - thick},${MIDDLE + eye} ${from},${MIDDLE + thick / 2}`}
        {...STRING}
        strokeWidth={thick}
      />
      {Array.from({ length: twist.openTurns * 2 }, (_, i) => {
        const [start, until] = [from + i * half, from + (i + 1) * half]
        const front = i % 2 === 0 ? 1 : -1
        return (
          <g key={i}>
            <path d={leg(front === 1 ? -1 : 1, start, until)} {...STRING} strokeWidth={thick} />
            <path
              d={leg(front, start, until)}
              fill="none"
              stroke="var(--paper)"
              strokeWidth={thick + 3}
              strokeLinecap="butt"
            />
            <path d={leg(front, start - 1, until + 1)} {...STRING} strokeLinecap="butt" strokeWidth={thick} />
          </g>
        )
      })}
      <path d={`M${to},${MIDDLE}H${WIDTH - 4}`} {...STRING} strokeWidth={thick} />
      {Array.from({ length: twist.closeTurns }, (_, i) => {
        const x = to + (i + 0.5) * thick
        return (
          <g key={i}>
            <path
              d={`M${x - thick / 4},${MIDDLE + thick * 1.2}L${x + thick / 4},${MIDDLE - thick * 1.2}`}
              stroke="var(--paper)"
              strokeWidth={thick + 2}
            />
            <path
              d={`M${x - thick / 4},${MIDDLE + thick * 1.2}L${x + thick / 4},${MIDDLE - thick * 1.2}`}
              {...STRING}
              strokeWidth={thick * 0.86}
            />
          </g>
        )
      })}
      <Label at={[LEFT + 16, 30]} to={[from - eye - thick / 2, MIDDLE - eye / 2]}>
        rod, {measureText(measure('length', twist.eye), units)}
      </Label>
      <Dimension from={[from, 150]} to={[to, 150]} text={`${twist.openTurns} open turns`} />
      <Dimension
        from={[to, 182]}
        to={[Math.max(end, to + 4), 182]}
        text={`${twist.closeTurns} close turns`}
      />
      <text x={WIDTH - 6} y={MIDDLE - thick - 8} textAnchor="end" fill="var(--soft)">
        the string
      </text>
      <text x={WIDTH / 2} y={222} textAnchor="middle" fill="var(--ink)">
        both legs turn alike
      </text>
    </Sheet>
  )
}
