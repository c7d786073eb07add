'use client'

import type { FittingContext } from '@/core/fitting/context'
import { gaugeOf } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import { surfaceMaterial } from '@/core/strings/construction'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { Dimension, Sheet, WIDTH } from './sheet'

/** The string's gauge between its neighbours', to scale: it lies not outside those of the same material. */
export function GaugeStep({ context: { instrument, position, figures } }: { context: FittingContext }) {
  const { units } = useWorkshop()
  const own = figures.strings[0]?.gauge ?? gaugeOf(position)
  const material = surfaceMaterial(position.construction).name
  const beside = [position.number + 1, position.number - 1]
    .map((n) => instrument.positions.find((p) => p.number === n))
    .map((p) => (p && surfaceMaterial(p.construction).name === material ? p : null))
  const [longer, shorter] = beside
  const circles = [longer, { called: position.called, gauge: own }, shorter].map((p) =>
    p ? { number: p.called.number, gauge: 'gauge' in p ? p.gauge : gaugeOf(p) } : null,
  )
  const widest = Math.max(...circles.map((c) => c?.gauge ?? 0))
  const scale = 78 / widest
  return (
    <Sheet
      title={`Gauges of this string and its neighbours`}
      note={`to scale, ${(scale / 1000).toFixed(0)} : 1; the longer neighbour is on the left`}
    >
      {circles.map((c, i) => {
        const x = WIDTH / 2 + (i - 1) * 100
        if (!c)
          return (
            <text key={i} x={x} y={120} textAnchor="middle" fill="var(--soft)">
              another material
            </text>
          )
        const r = (c.gauge * scale) / 2
        return (
          <g key={i}>
            <circle
              cx={x}
              cy={120}
              r={r}
              fill={i === 1 ? 'var(--verdigris-wash)' : 'var(--paper)'}
              stroke={i === 1 ? 'var(--verdigris)' : 'var(--line)'}
              strokeWidth={i === 1 ? 3 : 2}
            />
            {i === 1 ? (
              <Dimension
                from={[x - r, 62]}
                to={[x + r, 62]}
                text={measureText(measure('gauge', c.gauge), units)}
              />
            ) : (
              <text x={x} y={66} textAnchor="middle" fill="var(--soft)">
                {measureText(measure('gauge', c.gauge), units)}
              </text>
            )}
            <text
              x={x}
              y={192}
              textAnchor="middle"
              fill={i === 1 ? 'var(--ink)' : 'var(--soft)'}
              fontWeight={i === 1 ? 600 : 400}
            >
              {i === 1 ? `string ${c.number}` : String(c.number)}
            </text>
          </g>
        )
      })}
    </Sheet>
  )
}
