import { Frames } from './Frames'
import { Hand } from './Hand'
import { STRING } from './sheet'

const [WIDE, HIGH] = [150, 92]
const BOARD = 74
/** The foot stands here; its peg’s cord and the stopper loop are far to the right. */
const FOOT = 34
const LINE = 52

interface Frame {
  readonly says: string
  /** Where the roll of string is held; null once it is on the foot. */
  readonly roll: number | null
  readonly gloved: boolean
  /** Turns on the foot, from the board up. */
  readonly turns: number
  readonly looks: boolean
}

const FRAMES: readonly Frame[] = [
  {
    says: 'Roll the string on a gloved hand, or on a stick with a hole. Pull hard.',
    roll: 88,
    gloved: true,
    turns: 0,
    looks: false,
  },
  {
    says: 'Move the roll to the foot. The pull never lets up.',
    roll: 62,
    gloved: true,
    turns: 0,
    looks: false,
  },
  { says: 'First turns close to the board, and tight.', roll: 58, gloved: true, turns: 2, looks: false },
  { says: 'Half the turns are on: look at the stopper loop.', roll: 58, gloved: true, turns: 3, looks: true },
  {
    says: 'Glove off. The last turns by touch, the end tucked under.',
    roll: 52,
    gloved: false,
    turns: 5,
    looks: false,
  },
  { says: 'Look at the stopper loop once more.', roll: null, gloved: false, turns: 5, looks: true },
]

/** The wrapping of a foot: the roll in the hand, the hand to the foot, the glove off, and the stopper loop looked at again. */
export function FootWay() {
  return (
    <Frames
      label="The wrapping, move by move"
      filled="gloved hand"
      open="bare hand"
      frames={FRAMES}
      draw={(frame) => <Picture frame={frame} />}
    />
  )
}

function Picture({ frame: { says, roll, gloved, turns, looks } }: { readonly frame: Frame }) {
  const to = roll ?? FOOT + 8
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full border border-rule" role="img" aria-label={says}>
      <rect x={0} y={BOARD} width={WIDE} height={HIGH - BOARD} fill="var(--wood)" stroke="var(--wood-line)" />
      <rect
        x={FOOT - 8}
        y={16}
        width={16}
        height={BOARD - 16}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <path d={`M${to},${LINE}H132`} {...STRING} strokeWidth={4} />
      <circle cx={137} cy={LINE} r={5} fill="none" stroke="var(--verdigris)" strokeWidth={3} />
      {looks && (
        <g>
          <circle cx={137} cy={LINE} r={11} fill="none" stroke="var(--ochre)" strokeWidth={2} />
          <text x={146} y={LINE - 18} fontSize={10} textAnchor="end" fill="var(--ink)">
            stopper loop
          </text>
        </g>
      )}
      {Array.from({ length: turns }, (_, i) => (
        <path key={i} d={`M${FOOT - 9},${BOARD - 4 - i * 6}h18`} {...STRING} strokeWidth={4} />
      ))}
      {roll !== null && (
        <g>
          <path
            d={`M${roll - 5},${LINE - 12}v24M${roll},${LINE - 12}v24M${roll + 5},${LINE - 12}v24`}
            {...STRING}
            strokeWidth={3}
          />
          <Hand at={[roll, LINE]} isFilled={gloved} />
        </g>
      )}
      <text x={FOOT} y={12} fontSize={10} textAnchor="middle" fill="var(--soft)">
        foot
      </text>
    </svg>
  )
}
