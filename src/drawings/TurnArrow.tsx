import type { Turning } from '@/core/fitting/step'

/** Where the arrow begins and ends on its circle, degrees from the top, clockwise. */
const FROM = -140
const TO = 120
const RADIUS = 30

const at = (degrees: number, radius = RADIUS) => {
  const angle = ((degrees - 90) * Math.PI) / 180
  return `${(radius * Math.cos(angle)).toFixed(2)} ${(radius * Math.sin(angle)).toFixed(2)}`
}

/** The end of a pin as the person sees it, and an arrow round it the way it is turned. */
export function TurnArrow({
  way,
  does,
  seenFrom,
  isSmall = false,
}: Turning & { readonly isSmall?: boolean }) {
  const mirrored = way === 'anticlockwise'
  return (
    <figure className={`flex items-center ${isSmall ? 'gap-2' : 'gap-3'}`}>
      <svg
        viewBox="-46 -46 92 92"
        className={isSmall ? 'size-8 shrink-0' : 'size-16 shrink-0 md:size-24'}
        role="img"
        aria-label={`An arrow, ${way}`}
      >
        <g transform={mirrored ? 'scale(-1 1)' : undefined} className="text-verdigris">
          <path
            d={`M${at(FROM)}A${RADIUS} ${RADIUS} 0 1 1 ${at(TO)}`}
            fill="none"
            stroke="currentColor"
            strokeWidth={5}
            strokeLinecap="round"
          />
          <path
            d={`M${at(TO - 14, RADIUS + 12)}L${at(TO + 18)}L${at(TO - 14, RADIUS - 12)}Z`}
            fill="currentColor"
          />
        </g>
        <rect x={-8} y={-8} width={16} height={16} className="fill-rule stroke-ink" strokeWidth={1.5} />
      </svg>
      <figcaption>
        <span
          className={`block leading-tight font-semibold first-letter:uppercase ${isSmall ? '' : 'text-2xl'}`}
        >
          {way}
        </span>
        <span className={isSmall ? 'text-soft' : 'text-sm text-soft'}>
          {does}, {seenFrom}
        </span>
      </figcaption>
    </figure>
  )
}
