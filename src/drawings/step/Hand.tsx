interface HandProps {
  readonly at: readonly [x: number, y: number]
  /** Of two hands the one that is told apart by its colour. */
  readonly isFilled?: boolean
}

/** A hand, schematic: where it holds. */
export function Hand({ at: [x, y], isFilled = false }: HandProps) {
  return (
    <circle
      cx={x}
      cy={y}
      r={7}
      fill={isFilled ? 'var(--ochre)' : 'var(--paper)'}
      fillOpacity={isFilled ? 0.75 : 0.6}
      stroke="var(--ochre)"
      strokeWidth={2.5}
    />
  )
}

/** What a hand’s mark means, beside it. */
export function HandKey({
  isFilled = false,
  children,
}: {
  readonly isFilled?: boolean
  readonly children: string
}) {
  return (
    <span className="inline-flex items-center gap-1">
      <svg viewBox="0 0 20 20" className="size-4" aria-hidden>
        <Hand at={[10, 10]} isFilled={isFilled} />
      </svg>
      {children}
    </span>
  )
}
