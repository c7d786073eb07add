import type { StringPosition } from '@/core/instrument/instrument'
import type { BreakSite } from '@/core/wear/break-sites'

const ROW = 44

interface SitePictureProps {
  readonly sites: readonly BreakSite[]
  readonly position: StringPosition
  readonly chosen: BreakSite | null
  readonly className?: string
}

/** The string from pin to fastening, each place level with its row beside it; the chosen one is drawn snapped. */
export function SitePicture({ sites, position, chosen, className }: SitePictureProps) {
  const y = (site: BreakSite) => sites.indexOf(site) * ROW + ROW / 2
  const height = sites.length * ROW
  const x = 28
  const posts = position.tail.postDiameter !== null
  const end = y(posts ? 'soundboard' : 'knot')
  const snapped = chosen !== null && chosen !== 'slipped' ? y(chosen) : null
  return (
    <svg viewBox={`0 0 64 ${height}`} className={className} style={{ height }} aria-hidden>
      <rect x={0} y={0} width={64} height={y('bridge pin') + 14} fill="var(--wood)" opacity={0.5} />
      {!posts && (
        <rect
          x={0}
          y={y('soundboard') - 6}
          width={64}
          height={12}
          fill="var(--wood)"
          stroke="var(--wood-line)"
        />
      )}
      {snapped === null ? (
        <line x1={x} x2={x} y1={y('tuning pin hole')} y2={end} stroke="var(--ink)" strokeWidth={2.5} />
      ) : (
        <g fill="none" strokeWidth={2.5} strokeLinecap="round" stroke="var(--ink)">
          <path d={`M${x},${Math.min(y('tuning pin hole'), snapped - 8)} V${snapped - 12} q0,6 7,9`} />
          <path d={`M${x},${Math.max(end, snapped + 8)} V${snapped + 12} q0,-6 -7,-9`} />
        </g>
      )}
      <circle
        cx={x}
        cy={y('tuning pin hole')}
        r={11}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <line
        x1={x}
        x2={x}
        y1={y('tuning pin hole') - 5}
        y2={y('tuning pin hole') + 5}
        stroke="var(--ink)"
        strokeWidth={2.5}
      />
      {[-6, 0, 6].map((dy) => (
        <line
          key={dy}
          x1={x - 12}
          x2={x + 12}
          y1={y('wraps') + dy + 2}
          y2={y('wraps') + dy - 2}
          stroke="var(--ink)"
          strokeWidth={2.2}
        />
      ))}
      <circle
        cx={x + 5}
        cy={y('bridge pin')}
        r={4.5}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {sites.includes('lever or disc') && (
        <path
          d={`M${x - 10},${y('lever or disc') - 4}h20v8h-20z`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      )}
      {posts && (
        <circle cx={x} cy={y('soundboard')} r={5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} />
      )}
      {sites.includes('knot') && (
        <path
          d={`M${x - 8},${y('knot')} a8,7 0 1 1 16,0 a8,7 0 1 1 -16,0 M${x - 6},${y('knot') - 5} l12,10`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.2}
        />
      )}
      {sites.includes('knot pulled through') && (
        <path
          d={`M${x},${y('knot pulled through') + 9} v-15 m-4,5 l4,-6 l4,6`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.8}
        />
      )}
      <path
        d={`M${x},${y('slipped') - 8} v14 m-4,-5 l4,6 l4,-6`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.8}
        strokeDasharray="3 2"
      />
      {chosen && (
        <path
          d={`M44,${y(chosen)} h18 M50,${y(chosen) - 5} l-6,5 l6,5`}
          fill="none"
          stroke="var(--ochre)"
          strokeWidth={2.5}
        />
      )}
    </svg>
  )
}
