'use client'

import type { StringFigures } from '@/core/fitting/figures'
import { measure } from '@/core/measure'
import { holeHeight } from '@/core/winding/pin'
import { measureText } from '@/ui/format/measure'
import { Handle } from './drag/Handle'
import { useDrag } from './drag/use-drag'
import { useWorkshop } from '@/ui/units'

/** How much of the way to the bridge pin is drawn, mm. */
const RUN = 15
const LABEL = 1.55

interface PinDrawingProps {
  readonly figures: StringFigures
  readonly className?: string
  /** Makes the pin's edge a handle: told the diameter that it is drawn to, m. */
  readonly onDiameter?: (diameter: number) => void
}

/** The tuning pin with its wraps at pitch, to scale: a harp's lies across, a zither's stands. Millimetres. */
export function PinDrawing({ figures, className, onDiameter }: PinDrawingProps) {
  const drag = useDrag(({ x, y }) =>
    onDiameter?.(Math.abs(figures.position.head.pin.setting === 'upright' ? x : y) * 2e-3),
  )
  const { units } = useWorkshop()
  const { pin } = figures.position.head
  const upright = pin.setting === 'upright'
  const d = figures.gauge * 1000
  const D = pin.diameter * 1000
  const hole = holeHeight(pin) * 1000
  const end = hole + pin.holeToEnd * 1000
  const exit = figures.bank.exitHeight * 1000
  const bridge = pin.bridgeHeight * 1000
  const share = RUN / (pin.toBridge * 1000)
  const edge = D / 2 + d
  const point = (axial: number, across: number) => (upright ? `${across},${-axial}` : `${axial},${across}`)
  const at = (axial: number, across: number) => (upright ? { x: across, y: -axial } : { x: axial, y: across })
  const { laid } = figures.bank
  /** Each turn where it lies; what lies over others is drawn last. */
  const wraps = [...laid.turns]
    .sort((a, b) => Number(a.over) - Number(b.over))
    .map(({ offset, over }) => ({ at: hole - offset * 1000, over }))
  const [inner, outer] = [hole - laid.inward * 1000, hole + laid.outward * 1000]
  const box = upright
    ? { x: -15, y: -end - 5.4, width: 36, height: end + 12.4 }
    : { x: -7, y: -D / 2 - 7, width: end + 15, height: D + RUN + 15 }
  const text = (metres: number) => measureText(measure('width', metres), units)
  const dimension = upright ? -D / 2 - 3 : -D / 2 - 3.2
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={className}
      role="img"
      aria-label={`Tuning pin to scale: ${measureText(measure('wraps', figures.wraps), units)}, ${text(figures.bank.width)} wide, on a pin of ${text(pin.diameter)}`}
    >
      <path
        d={`M${point(0, -D / 2 - 6)}L${point(0, D / 2 + RUN)}L${point(-6, D / 2 + RUN)}L${point(-6, -D / 2 - 6)}Z`}
        fill="var(--wood)"
      />
      <path
        d={`M${point(0, -D / 2 - 6)}L${point(0, D / 2 + RUN)}`}
        stroke="var(--wood-line)"
        strokeWidth={0.35}
      />
      <path
        d={`M${point(-4, -D / 2)}L${point(end, -D / 2)}L${point(end, D / 2)}L${point(-4, D / 2)}`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={0.25}
      />
      {upright &&
        Array.from({ length: 4 }, (_, i) => (
          <path
            key={i}
            d={`M${point(0.4 + i * 0.9, -D / 2)}L${point(0.9 + i * 0.9, D / 2)}`}
            stroke="var(--line)"
            strokeWidth={0.18}
          />
        ))}
      <path
        d={`M${point(hole, 0)}L${point(hole + 0.2, -edge - 2.2)}`}
        stroke="var(--verdigris)"
        strokeWidth={Math.max(0.3, d)}
        strokeLinecap="round"
      />
      {wraps.map(({ at: turn, over }) => {
        const proud = over ? d : d * 0.2
        const front = `M${point(turn + (over ? -d : d) / 2, -D / 2 - proud)}L${point(turn + (over ? d / 2 : 0), D / 2 + proud)}`
        return (
          <g key={`${turn}${over}`} strokeLinecap="round">
            <path d={front} stroke={over ? 'var(--ink)' : 'var(--verdigris)'} strokeWidth={d} />
            <path d={front} stroke="var(--verdigris-wash)" strokeWidth={d * 0.6} />
          </g>
        )
      })}
      <circle cx={at(hole, 0).x} cy={at(hole, 0).y} r={Math.max(0.55, d * 0.6)} fill="var(--ink)" />
      <path
        d={`M${point(exit, D / 2 + d * 0.2)}L${point(exit + (bridge - exit) * share, edge + RUN)}`}
        stroke="var(--verdigris)"
        strokeWidth={Math.max(0.3, d)}
        strokeLinecap="round"
      />
      <path
        d={`M${point(bridge, D / 2)}L${point(bridge, edge + RUN)}`}
        stroke="var(--soft)"
        strokeWidth={0.18}
        strokeDasharray="0.8 0.6"
      />
      <g stroke="var(--ink)" strokeWidth={0.18} fill="none">
        <path
          d={`M${point(outer, dimension)}L${point(inner, dimension)}M${point(outer, dimension - 0.8)}L${point(outer, -D / 2)}M${point(inner, dimension - 0.8)}L${point(inner, -D / 2)}`}
        />
        <path
          d={`M${point(end + 1.2, -D / 2)}L${point(end + 1.2, D / 2)}M${point(end, -D / 2)}L${point(end + 2, -D / 2)}M${point(end, D / 2)}L${point(end + 2, D / 2)}`}
        />
      </g>
      {onDiameter && <Handle drag={drag} at={[at(end - 2, D / 2).x, at(end - 2, D / 2).y]} r={1.1} />}
      <g fontSize={LABEL} fill="var(--ink)">
        {upright ? (
          <>
            <text x={dimension - 0.8} y={-(outer + inner) / 2} textAnchor="end" dominantBaseline="central">
              {text(figures.bank.width)}
            </text>
            <text x={0} y={-end - 3.2} textAnchor="middle">
              pin {text(pin.diameter)}
            </text>
            <text x={edge + RUN + 0.2} y={-bridge - 0.8} textAnchor="end" fill="var(--soft)">
              to the bridge
            </text>
            <text x={-14.6} y={3.6} fill="var(--soft)">
              wood
            </text>
          </>
        ) : (
          <>
            <text x={(outer + inner) / 2} y={dimension - 1.2} textAnchor="middle">
              {text(figures.bank.width)}
            </text>
            <text x={end + 2.4} y={0} dominantBaseline="central">
              {text(pin.diameter)}
            </text>
            <text x={bridge + 0.9} y={edge + RUN - 0.6} fill="var(--soft)">
              to the bridge pin
            </text>
            <text x={-6.6} y={-D / 2 - 4.2} fill="var(--soft)">
              wood
            </text>
          </>
        )}
      </g>
    </svg>
  )
}
