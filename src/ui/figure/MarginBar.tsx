import { MARGIN_BOUNDS, type Margin } from '@/core/strings/tension'

const WORDS: Record<Margin, string> = {
  easy: 'easy',
  lively: 'lively',
  'short-lived': 'short-lived',
  refuse: 'too close to breaking: ask the maker before fitting it',
}

/** Where a string stands between slack and its working strength, on one ruled line. */
export function MarginBar({ utilisation, margin }: { utilisation: number; margin: Margin }) {
  const bad = margin === 'short-lived' || margin === 'refuse'
  const at = Math.min(1, utilisation) * 200
  return (
    <div className="mt-1">
      <svg viewBox="0 0 200 16" className="block h-5 w-full" preserveAspectRatio="none" aria-hidden>
        <line
          x1={0}
          x2={200}
          y1={10}
          y2={10}
          stroke="var(--line)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
        <rect x={0} y={7} width={at} height={6} fill={bad ? 'var(--ochre)' : 'var(--verdigris)'} />
        {Object.values(MARGIN_BOUNDS).map((bound) => (
          <line
            key={bound}
            x1={bound * 200}
            x2={bound * 200}
            y1={3}
            y2={14}
            stroke="var(--ink)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <line
          x1={199.5}
          x2={199.5}
          y1={0}
          y2={16}
          stroke="var(--ink)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <p className={`text-sm ${bad ? 'text-ochre' : 'text-soft'}`}>
        <span className="font-semibold text-ink">{Math.round(utilisation * 100)} %</span> of its strength,{' '}
        {WORDS[margin]}
      </p>
    </div>
  )
}
