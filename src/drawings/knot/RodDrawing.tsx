import type { Fixture, FixtureKind } from '@/core/knots/tails/tail-end'

const FILLS: Record<FixtureKind, string> = {
  anchor: 'var(--gut-light)',
  toggle: 'var(--gut-light)',
  bead: 'var(--wood)',
  foot: 'var(--wood)',
  bar: 'var(--wood)',
  neck: 'var(--wood)',
  'hitch pin': 'var(--wire-light)',
  post: 'var(--wire-light)',
  'tuning pin': 'var(--wire-light)',
}

/** A rod as it is seen: its side, and the end that is nearer to the eye, cut across. Already turned to the eye; y is upward. */
export function RodDrawing({ rod: { kind, at, axis, radius, half } }: { rod: Fixture }) {
  // The nearer end is drawn last.
  const side = axis[2] < 0 ? -1 : 1
  const ends = [-side, side].map((s) => [at[0] + s * axis[0] * half, -(at[1] + s * axis[1] * half)] as const)
  const [far, near] = ends as [readonly [number, number], readonly [number, number]]
  const lean = (Math.atan2(near[1] - far[1], near[0] - far[0]) * 180) / Math.PI
  const face = Math.abs(axis[2]) * radius
  const line =
    kind === 'anchor' ||
    kind === 'toggle' ||
    kind === 'bead' ||
    kind === 'foot' ||
    kind === 'bar' ||
    kind === 'neck'
      ? 'var(--wood-line)'
      : 'var(--line)'
  return (
    <g stroke={line} strokeWidth={0.12}>
      <ellipse
        cx={far[0]}
        cy={far[1]}
        rx={face}
        ry={radius}
        transform={`rotate(${lean} ${far[0]} ${far[1]})`}
        fill={FILLS[kind]}
      />
      <path d={`M${far.join()}L${near.join()}`} strokeWidth={2 * radius + 0.12} />
      <path d={`M${far.join()}L${near.join()}`} stroke={FILLS[kind]} strokeWidth={2 * radius - 0.12} />
      <ellipse
        cx={near[0]}
        cy={near[1]}
        rx={face}
        ry={radius}
        transform={`rotate(${lean} ${near[0]} ${near[1]})`}
        fill={FILLS[kind]}
      />
      {face > 0.4 && (kind === 'anchor' || kind === 'toggle') && (
        <path
          d={[-0.5, 0, 0.5]
            .map(
              (k) =>
                `M${near[0] - radius * 0.5},${near[1] + k * radius + radius * 0.25}l${radius},${-radius * 0.5}`,
            )
            .join('')}
        />
      )}
    </g>
  )
}
