import { Frames } from './Frames'
import { Hand } from './Hand'
import { STRING } from './sheet'

const [WIDE, HIGH] = [150, 92]
const BOARD = 78
const LINE = 46

interface Frame {
  readonly says: string
  /** Where the hand in the box holds, and the one in front; null where it holds nothing. */
  readonly inside: number | null
  readonly front: number | null
  /** Where the anchor is, and to where the string reaches. */
  readonly anchor: number
  readonly end: number
  readonly clip: boolean
  /** Wraps on the pin. */
  readonly wraps?: number
}

const FRAMES: readonly Frame[] = [
  {
    says: 'The hand in the box holds knot and anchor together.',
    inside: 24,
    front: null,
    anchor: 24,
    end: 70,
    clip: false,
  },
  {
    says: 'It feeds the end up. The hand in front takes it.',
    inside: 56,
    front: 112,
    anchor: 30,
    end: 112,
    clip: false,
  },
  {
    says: 'Hands change: in the box back to the anchor, in front a light pull.',
    inside: 40,
    front: 118,
    anchor: 40,
    end: 138,
    clip: false,
  },
  {
    says: 'In front: draw. In the box: keep the anchor level until it sits.',
    inside: 66,
    front: 128,
    anchor: 68,
    end: 150,
    clip: false,
  },
  {
    says: 'Short of a hand: the clip goes on in front, against the board.',
    inside: null,
    front: 130,
    anchor: 70,
    end: 150,
    clip: true,
  },
  {
    says: 'Two wraps are on: take the clip off.',
    inside: null,
    front: null,
    anchor: 70,
    end: 138,
    clip: false,
    wraps: 2,
  },
]

/** The anchor’s way from the knot to the board: which hand holds what, and the clip on and off again. */
export function AnchorWay() {
  return (
    <Frames
      label="The anchor’s way"
      filled="hand in the box"
      open="hand in front"
      frames={FRAMES}
      draw={(frame) => <Picture frame={frame} />}
    />
  )
}

function Picture({ frame: { says, inside, front, anchor, end, clip, wraps } }: { readonly frame: Frame }) {
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full border border-rule" role="img" aria-label={says}>
      <text x={6} y={14} fontSize={10} fill="var(--soft)">
        in the box
      </text>
      <text x={WIDE - 6} y={14} fontSize={10} textAnchor="end" fill="var(--soft)">
        in front
      </text>
      <path
        d={`M${BOARD - 4},0V${LINE - 4}H${BOARD + 4}V0ZM${BOARD - 4},${HIGH}V${LINE + 4}H${BOARD + 4}V${HIGH}Z`}
        fill="var(--wood)"
        stroke="var(--wood-line)"
      />
      <path d={`M${anchor},${LINE}H${end}`} {...STRING} strokeWidth={4} />
      {/* Level, it is seen from its end. */}
      <circle cx={anchor} cy={LINE} r={5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
      <path d={`M${anchor - 2},${LINE + 5}l-6,10`} {...STRING} strokeWidth={3} />
      {clip && (
        <rect
          x={BOARD + 5}
          y={LINE - 9}
          width={12}
          height={18}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
      {wraps !== undefined && (
        <g>
          <rect x={130} y={LINE - 16} width={14} height={32} fill="var(--paper)" stroke="var(--ink)" />
          {Array.from({ length: wraps }, (_, i) => (
            <path key={i} d={`M129,${LINE - 3 - i * 6}h16`} {...STRING} strokeWidth={4} />
          ))}
        </g>
      )}
      {inside !== null && <Hand at={[inside, LINE]} isFilled />}
      {front !== null && <Hand at={[front, LINE]} />}
    </svg>
  )
}
