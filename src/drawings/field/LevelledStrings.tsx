import { memo, type ReactNode } from 'react'
import { itemAt } from '@/core/list/item-at'
import type { FieldShape } from './field-shape'

/** Levels that textures tell apart, from nothing to all. */
export const LEVELS = 5

interface LevelledStringsProps {
  readonly shape: FieldShape
  /** By position number, 0 to LEVELS − 1; a string without one has no figure. */
  readonly levels: Readonly<Record<number, number>>
  /** Strings without a level stay as they are drawn. */
  readonly onlyLevelled?: boolean
}

/** Strings drawn by a figure in place of their material: the more of it, the closer and broader its marks. No colour tells it. */
export const LevelledStrings = memo(function LevelledStrings({
  shape,
  levels,
  onlyLevelled = false,
}: LevelledStringsProps) {
  const scale = shape.viewBox.height / 560
  const xs = shape.strings.map(({ x }) => x).sort((a, b) => a - b)
  const gaps = xs.slice(1).map((x, i) => x - itemAt(xs, i))
  const broadest = Math.min(9 * scale, 0.62 * Math.min(...gaps, 40))
  return (
    <g aria-hidden>
      {shape.strings.map((s) =>
        onlyLevelled && levels[s.position.number] === undefined ? null : (
          <g key={s.position.number}>
            <line
              x1={s.x}
              x2={s.x}
              y1={s.bridge}
              y2={s.tail}
              stroke="var(--paper)"
              strokeWidth={Math.max(s.weight, broadest) + 1}
            />
            <LevelStroke
              x={s.x}
              from={s.bridge}
              to={s.tail}
              level={levels[s.position.number]}
              broadest={broadest}
              scale={scale}
            />
          </g>
        ),
      )}
    </g>
  )
})

interface LevelStrokeProps {
  readonly x: number
  readonly from: number
  readonly to: number
  readonly level: number | undefined
  readonly broadest: number
  readonly scale: number
}

/** One string at a level. */
function LevelStroke({ x, from, to, level, broadest, scale }: LevelStrokeProps) {
  const at = { x1: x, x2: x, y1: from, y2: to }
  const thread = <line {...at} stroke="var(--soft)" strokeWidth={0.8 * scale} />
  if (level === undefined || level <= 0) return thread
  const share = level / (LEVELS - 1)
  const step = 11 * scale
  return (
    <>
      {thread}
      <line
        {...at}
        stroke="var(--verdigris)"
        strokeWidth={broadest * (0.45 + 0.55 * share)}
        strokeDasharray={
          level >= LEVELS - 1 ? undefined : `${step * share * 0.8} ${step * (1 - share * 0.8)}`
        }
      />
    </>
  )
}

interface LevelScaleProps {
  readonly marks: readonly { readonly level: number; readonly word: string }[]
  /** How high each mark is drawn, in its own units. */
  readonly height: number
  readonly className: string
  readonly markClass: string
  readonly children?: ReactNode
}

/** What the marks stand for, to be read off beside the field. */
export function LevelScale({ marks, height, className, markClass, children }: LevelScaleProps) {
  return (
    <ul aria-label="What the marks stand for" className={className}>
      {marks.map(({ level, word }) => (
        <li key={word} className="flex items-center gap-2">
          <svg viewBox={`0 0 14 ${height}`} className={`shrink-0 ${markClass}`} aria-hidden>
            <LevelStroke x={7} from={0} to={height} level={level} broadest={8} scale={1} />
          </svg>
          {word}
        </li>
      ))}
      {children}
    </ul>
  )
}
