import { memo } from 'react'
import type { FieldShape } from './field-shape'
import type { CrossPin, DrawnFoot } from './head-and-foot'

/** Feet with their strings' turns, in the order they lie; the numbers stand beside them, the outermost first. */
export const Feet = memo(function Feet({ feet }: { feet: readonly DrawnFoot[] }) {
  const [leftmost, rightmost] = [Math.min(...feet.map((f) => f.x)), Math.max(...feet.map((f) => f.x))]
  return feet.map((foot) => {
    const isLeft = foot.x === leftmost && (feet.length > 1 || foot.x !== rightmost)
    const out = isLeft ? -1 : 1
    const edge = foot.x + out * foot.reach
    const outermost = foot.layers.at(-1)?.radius ?? foot.radius
    return (
      <g key={foot.x}>
        {foot.layers.map((layer) => (
          <path
            key={`to ${layer.called}`}
            d={`M${layer.from.x},${layer.from.y}L${foot.x + (layer.from.x < foot.x ? -1 : 1) * layer.radius * 0.72},${foot.y - layer.radius * 0.7}`}
            stroke="var(--line)"
            strokeWidth={layer.width * 0.6}
          />
        ))}
        <circle
          cx={foot.x}
          cy={foot.y}
          r={foot.radius}
          fill="color-mix(in srgb, var(--wood) 70%, var(--paper))"
          stroke="var(--wood-line)"
          strokeWidth={1.4}
        />
        {foot.layers.map((layer, i) => (
          <circle
            key={layer.called}
            cx={foot.x}
            cy={foot.y}
            r={layer.radius}
            fill="none"
            stroke={i % 2 === 0 ? 'var(--silk, var(--line))' : 'var(--soft)'}
            strokeWidth={layer.width * 0.86}
          />
        ))}
        <g fontSize={24} fill="var(--ink)" textAnchor={isLeft ? 'end' : 'start'}>
          <path d={`M${foot.x + out * outermost},${foot.y}H${edge}`} stroke="var(--soft)" strokeWidth={1.4} />
          <text x={edge + out * 8} y={foot.y} dominantBaseline="central">
            {[...foot.layers]
              .reverse()
              .map(({ called }) => called)
              .join(', ')}
          </text>
          <text
            x={edge + out * 8}
            y={foot.y + 26}
            dominantBaseline="central"
            fontSize={19}
            fill="var(--soft)"
          >
            outermost first
          </text>
        </g>
      </g>
    )
  })
})

/** A peg with its cord for each string that is caught in one. */
export function Pegs({ shape }: { shape: FieldShape }) {
  return shape.strings
    .filter(({ position }) => position.head.fastening === 'peg cord')
    .map((s) => {
      const width = s.position.head.pin.diameter * 1000
      const knot = s.pin + (s.bridge - s.pin) * 0.55
      return (
        <g key={s.position.number} stroke="var(--wood-line)">
          <path
            d={`M${s.x - width * 0.35},${s.pin}Q${s.x - width * 0.5},${knot - 4} ${s.x},${knot}Q${s.x + width * 0.5},${knot - 4} ${s.x + width * 0.35},${s.pin}`}
            fill="none"
            strokeWidth={2.6}
            strokeDasharray="4 2"
          />
          <path
            d={`M${s.x - width * 0.5},${s.pin + 4}h${width}l${width * 0.22},-34a${width * 0.72},9 0 0 0 ${-width * 1.44},0z`}
            fill="color-mix(in srgb, var(--wood) 80%, var(--paper))"
            strokeWidth={1.4}
            strokeLinejoin="round"
          />
          <circle cx={s.x} cy={knot} r={3.4} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.2} />
        </g>
      )
    })
}

/** Cross pins in a scroll: each string goes over the top of its own, and passes under those that stand nearer the nut. */
export function Scroll({ pins }: { pins: readonly CrossPin[] }) {
  return pins.map(({ string: s, left, right, y, radius, knob }) => {
    const at = knob === 'right' ? right : left
    const out = knob === 'right' ? 1 : -1
    return (
      <g key={s.position.number}>
        <line
          x1={s.x}
          x2={s.x}
          y1={s.bridge}
          y2={y}
          stroke="var(--line)"
          strokeWidth={Math.max(1.2, s.weight * 0.6)}
        />
        <rect
          x={left}
          y={y - radius}
          width={right - left}
          height={2 * radius}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={0.9}
        />
        <path
          d={`M${at},${y - radius * 0.6}h${out * 9}v${radius * 1.2}h${-out * 9}z`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={0.9}
        />
        <ellipse
          cx={at + out * 13}
          cy={y}
          rx={4.5}
          ry={radius + 3.5}
          fill="color-mix(in srgb, var(--wood) 80%, var(--paper))"
          stroke="var(--wood-line)"
          strokeWidth={1.2}
        />
        {[-1.6, 0, 1.6].map((by) => (
          <path
            key={by}
            d={`M${s.x + by - 0.7},${y + radius}L${s.x + by + 0.7},${y - radius}`}
            stroke="var(--line)"
            strokeWidth={1.1}
          />
        ))}
        <circle
          cx={s.x}
          cy={s.bridge}
          r={s.weight * 0.35 + 1}
          stroke="var(--ink)"
          strokeWidth={0.9}
          fill="var(--paper)"
        />
      </g>
    )
  })
}
