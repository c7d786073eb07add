'use client'

import { itemAt } from '@/core/list/item-at'
import { measure } from '@/core/measure'
import type { CutSum } from '@/core/winding/cut'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { spread } from './spread'

const WIDTH = 1000
const LETTERS = 'abcdefghijk'
const TINTS: Record<CutSum['parts'][number]['what'], string> = {
  'tag and knot': 'var(--ochre)',
  'through the board': 'var(--wood-line)',
  'up to the pin': 'var(--ink)',
  slack: 'var(--verdigris)',
  hole: 'var(--soft)',
  tail: 'var(--line)',
  'round the posts': 'var(--wood-line)',
  'stopper loop': 'var(--ochre)',
  'twisted loop': 'var(--ochre)',
  'round the foot': 'var(--wood-line)',
}

/** The sum of a cut as a dimensioned drawing: the string laid out straight, to scale, each part with its letter. */
export function CutDrawing({ cut }: { cut: CutSum }) {
  const { units } = useWorkshop()
  const ends = cut.parts.reduce<number[]>(
    (so, part) => [...so, (so.at(-1) ?? 0) + part.length / cut.total],
    [],
  )
  const middles = cut.parts.map((part, i) => itemAt(ends, i) - part.length / cut.total / 2)
  const marks = spread(middles, 0.062)
  const total = measureText(measure('length', cut.total), units)
  return (
    <figure className="@container" aria-label={`What to cut: ${total} in all`}>
      <div className="relative mx-3 h-32">
        <svg
          viewBox={`0 0 ${WIDTH} 128`}
          preserveAspectRatio="none"
          className="absolute inset-0 h-full w-full overflow-visible"
          aria-hidden
        >
          <g stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke">
            <path d={`M0,16V52M${WIDTH},16V52M0,26H${WIDTH}`} fill="none" vectorEffect="non-scaling-stroke" />
            <path
              d={`M10,22L0,26L10,30M${WIDTH - 10},22L${WIDTH},26L${WIDTH - 10},30`}
              fill="none"
              vectorEffect="non-scaling-stroke"
            />
          </g>
          {cut.parts.map((part, i) => {
            const from = (ends[i - 1] ?? 0) * WIDTH
            const to = itemAt(ends, i) * WIDTH
            return (
              <g key={`${part.what}${i}`}>
                <rect x={from} width={to - from} y={54} height={12} fill={TINTS[part.what]} />
                <line
                  x1={to}
                  x2={to}
                  y1={48}
                  y2={72}
                  stroke="var(--paper)"
                  strokeWidth={1.5}
                  vectorEffect="non-scaling-stroke"
                />
                <path
                  d={`M${(from + to) / 2},68L${itemAt(marks, i) * WIDTH},94`}
                  stroke="var(--soft)"
                  fill="none"
                  strokeWidth={1}
                  vectorEffect="non-scaling-stroke"
                />
              </g>
            )
          })}
        </svg>
        <span className="absolute top-3 left-1/2 -translate-x-1/2 bg-paper px-3 plate-figure text-lg">
          {total}
        </span>
        {cut.parts.map((part, i) => (
          <span
            key={`${part.what}${i}`}
            style={{ left: `${itemAt(marks, i) * 100}%` }}
            className="absolute top-[94px] grid size-6 -translate-x-1/2 place-items-center rounded-full border border-ink bg-paper text-xs font-semibold"
            aria-hidden
          >
            {LETTERS[i]}
          </span>
        ))}
      </div>
      <ol className="mt-2 grid gap-x-6 @xs:grid-cols-2 @2xl:grid-cols-3 @4xl:grid-cols-4">
        {cut.parts.map((part, i) => (
          <li key={`${part.what}${i}`} className="flex items-baseline gap-2 border-t border-rule py-1.5">
            <span
              className="grid size-5 shrink-0 place-items-center self-center rounded-full border border-line text-[0.7rem] font-semibold"
              aria-hidden
            >
              {LETTERS[i]}
            </span>
            <span className="flex-1 text-sm">{part.what}</span>
            <span className="plate-figure text-lg whitespace-nowrap">
              {measureText(measure('length', part.length), units)}
            </span>
          </li>
        ))}
      </ol>
    </figure>
  )
}
