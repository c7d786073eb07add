'use client'

import type { StringFigures } from '@/core/fitting/figures'
import type { PulledAside } from '@/core/fitting/slack-figures'
import type { Instrument } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { Handle } from './drag/Handle'
import { useDrag } from './drag/use-drag'
import { pinsOutward } from './pins-outward'
import { useWorkshop } from '@/ui/units'

const MM = 1000

interface SidewaysPullProps {
  readonly figures: StringFigures
  readonly pull: PulledAside
  /** Makes the middle of the string a handle: told how far it is pulled, m. */
  readonly onPull?: (pull: number) => void
}

/** A string pulled aside at mid-length, to scale. */
export function SidewaysPull({ figures: { position }, pull, onPull }: SidewaysPullProps) {
  const drag = useDrag(({ x }) => onPull?.(Math.max(0, x / MM)))
  const { units } = useWorkshop()
  const free = position.freeLength * MM
  const across = pull.pull * MM
  const width = Math.max(across * 2.2, free * 0.62)
  const scale = Math.max(free, width) / 300
  const mid = free / 2
  return (
    <svg
      viewBox={`${-26 * scale} ${-16 * scale} ${Math.max(width, across + 110 * scale) + 26 * scale} ${free + 34 * scale}`}
      className="mx-auto block max-h-56 w-full"
      role="img"
      aria-label={`Slack as a sideways pull of ${measureText(measure('length', pull.pull), units)} at mid-length`}
    >
      <g stroke="var(--ink)" fill="var(--paper)" strokeWidth={1.3 * scale}>
        <path d={`M${-20 * scale},${free}h${40 * scale}`} strokeWidth={3 * scale} stroke="var(--wood-line)" />
        <path d={`M0,0V${free}`} strokeDasharray={`${5 * scale} ${4 * scale}`} stroke="var(--line)" />
        <path
          d={`M0,0L${across},${mid}L0,${free}`}
          fill="none"
          stroke="var(--verdigris)"
          strokeWidth={2.4 * scale}
          strokeLinejoin="round"
        />
        <circle cx={0} cy={0} r={6 * scale} />
      </g>
      <g stroke="var(--ink)" strokeWidth={1 * scale} fill="none">
        <path
          d={`M0,${mid}H${across}M${6 * scale},${mid - 4 * scale}L0,${mid}L${6 * scale},${mid + 4 * scale}M${across - 6 * scale},${mid - 4 * scale}L${across},${mid}L${across - 6 * scale},${mid + 4 * scale}`}
        />
      </g>
      <text
        x={across + 7 * scale}
        y={mid - 7 * scale}
        fontSize={16 * scale}
        fontWeight={600}
        fill="var(--ink)"
      >
        {measureText(measure('length', pull.pull), units)}
      </text>
      {pull.pullIsThere && (
        <text x={across + 7 * scale} y={mid + 12 * scale} fontSize={12.5 * scale} fill="var(--soft)">
          {measureText(measure('strings', pull.pullInStrings), units)} away
        </text>
      )}
      {onPull && <Handle drag={drag} at={[across, mid]} r={7 * scale} />}
    </svg>
  )
}

/** The slack judged by the pull at mid-length, and by how far the pinch reaches along the pins; both to scale. */
export function SlackDrawing({
  instrument,
  figures,
  className,
}: {
  instrument: Instrument
  figures: StringFigures
  className?: string
}) {
  return (
    <div className={`grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] items-center gap-3 ${className ?? ''}`}>
      <SidewaysPull figures={figures} pull={figures.slack} />
      {figures.slack.reach.isThere && <PinReach instrument={instrument} figures={figures} />}
    </div>
  )
}

/** The pins from the string's own one outward, and how far the pinch reaches along them. */
function PinReach({
  instrument,
  figures: { position, slack },
}: {
  instrument: Instrument
  figures: StringFigures
}) {
  const { units } = useWorkshop()
  const step = slack.reach.direction === 'toward the bass' ? 1 : -1
  const count = Math.max(3, Math.ceil(slack.reach.pins) + 1)
  const { pins: points, own } = pinsOutward(instrument, position, step, count)
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  const [left, top] = [Math.min(...xs) - 14, Math.min(...ys) - 16]
  const [width, height] = [Math.max(...xs) - left + 14, Math.max(...ys) - top + 12]
  const path = alongPins(points.slice(own), slack.reach.pins)
  const size = Math.max(width / 22, height / 9)
  return (
    <figure className="mt-2">
      <svg
        viewBox={`${left} ${top} ${width} ${height}`}
        className="mx-auto block max-h-44 w-full"
        role="img"
        aria-label={`The pinch reaches ${measureText(measure('pins', slack.reach.pins), units)} along the neck ${slack.reach.direction}`}
      >
        <path
          d={`M${points.map((p) => `${p.x},${p.y}`).join('L')}`}
          fill="none"
          stroke="var(--rule)"
          strokeWidth={10}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
        <path d={path} fill="none" stroke="var(--verdigris)" strokeWidth={5} strokeLinejoin="round" />
        {points.map((p, i) => (
          <circle
            key={p.number}
            cx={p.x}
            cy={p.y}
            r={3.6}
            fill={i === own ? 'var(--verdigris)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth={0.8}
          />
        ))}
        {points.slice(own).map((p, i) =>
          i > 0 ? (
            <text
              key={p.number}
              x={p.x}
              y={p.y - 7}
              fontSize={Math.min(9, size)}
              textAnchor="middle"
              fill="var(--soft)"
            >
              {i}
            </text>
          ) : null,
        )}
      </svg>
      <figcaption className="text-center text-xs text-soft">
        the pinch reaches {measureText(measure('pins', slack.reach.pins), units)} {slack.reach.direction}
      </figcaption>
    </figure>
  )
}

function alongPins(points: readonly { x: number; y: number }[], pins: number): string {
  const whole = Math.floor(pins)
  const [from, to] = [points[whole], points[whole + 1]]
  const passed = points.slice(0, whole + 1)
  const last =
    from && to
      ? [{ x: from.x + (to.x - from.x) * (pins - whole), y: from.y + (to.y - from.y) * (pins - whole) }]
      : []
  return `M${[...passed, ...last].map((p) => `${p.x},${p.y}`).join('L')}`
}
