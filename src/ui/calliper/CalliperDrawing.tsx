const WIDTH = 260
const HEIGHT = 92
const EDGE = 46

/** The jaws round a string's cross-section, to one scale with the beam's ticks. */
export function CalliperDrawing({ mm, widest }: { readonly mm: number; readonly widest: number }) {
  const perMm = (WIDTH - EDGE - 62) / widest
  const moving = EDGE + mm * perMm
  const steel = { fill: 'var(--wire-light)', stroke: 'var(--ink)', strokeWidth: 1 }
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden>
      <rect x={4} y={8} width={WIDTH - 8} height={22} {...steel} />
      {Array.from({ length: widest * 2 + 1 }, (_, i) => (
        <line
          key={i}
          x1={EDGE + (i / 2) * perMm}
          x2={EDGE + (i / 2) * perMm}
          y1={30}
          y2={i % 2 === 0 ? 20 : 25}
          stroke="var(--ink)"
          strokeWidth={0.8}
        />
      ))}
      {Array.from({ length: widest + 1 }, (_, i) => (
        <text key={i} x={EDGE + i * perMm} y={17} fontSize={8} textAnchor="middle" fill="var(--ink)">
          {i}
        </text>
      ))}
      <path d={`M${EDGE},30V86L${EDGE - 16},70V30Z`} {...steel} />
      <path d={`M${moving},30V86L${moving + 16},70V38H${moving + 44}V30Z`} {...steel} />
      <rect
        x={moving}
        y={4}
        width={44}
        height={30}
        fill="var(--verdigris-wash)"
        stroke="var(--ink)"
        strokeWidth={1}
        opacity={0.9}
      />
      {mm > 0 && (
        <circle
          cx={EDGE + (mm * perMm) / 2}
          cy={56}
          r={(mm * perMm) / 2}
          fill="var(--gut-light)"
          stroke="var(--gut)"
          strokeWidth={1}
        />
      )}
    </svg>
  )
}
