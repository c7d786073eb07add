'use client'

import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'

/** A ruler of 100 mm, to see whether the page was printed at its size. */
export function CheckRuler() {
  return (
    <svg
      width="106mm"
      height="11mm"
      viewBox="-3 0 106 11"
      role="img"
      aria-label="A ruler of 100 mm: measure it before you trust the lengths below"
    >
      <path d="M0,0.2H100" stroke="var(--ink)" strokeWidth={0.3} />
      {Array.from({ length: 101 }, (_, i) => (
        <path
          key={i}
          d={`M${i},0.2v${i % 10 === 0 ? 4 : i % 5 === 0 ? 3 : 1.8}`}
          stroke="var(--ink)"
          strokeWidth={i % 10 === 0 ? 0.3 : 0.15}
        />
      ))}
      {Array.from({ length: 11 }, (_, i) => (
        <text key={i} x={i * 10} y={7.4} fontSize={3} textAnchor="middle" fill="var(--ink)">
          {i * 10}
        </text>
      ))}
      <text x={0} y={10.6} fontSize={2.6} fill="var(--soft)">
        Measure this: where it is 100 mm long, the page is at its size.
      </text>
    </svg>
  )
}

/** The widest that fits on the page, mm. */
const WIDEST = 175

/** Lengths at their own size, to lay the string against; one that is longer than the page is only told. */
export function LaidOff({
  lengths,
}: {
  lengths: readonly { readonly word: string; readonly metres: number }[]
}) {
  const { units } = useWorkshop()
  const shown = lengths.filter(({ metres }) => metres > 0)
  return (
    <div className="mt-1 grid gap-1">
      {shown.map(({ word, metres }) => {
        const mm = metres * 1000
        const told = measureText(measure(mm < 20 ? 'width' : 'length', metres), units)
        if (mm > WIDEST)
          return (
            <p key={word}>
              {word}: {told}, longer than this page
            </p>
          )
        return (
          <svg
            key={word}
            width={`${Math.max(mm + 6, 90)}mm`}
            height="7mm"
            viewBox={`-3 0 ${Math.max(mm + 6, 90)} 7`}
            role="img"
            aria-label={`${word}, ${told}, at its own size`}
          >
            <path d={`M0,0.5v3M${mm},0.5v3M0,2H${mm}`} stroke="var(--verdigris)" strokeWidth={0.6} />
            <text x={0} y={6.6} fontSize={2.9} fill="var(--ink)">
              {word} {told}, at its own size
            </text>
          </svg>
        )
      })}
    </div>
  )
}
