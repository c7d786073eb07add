import type { Moment } from '@/core/restring/moments'

interface LoadPictureProps {
  readonly moments: readonly Moment[]
  /** The least share of the load that is kept, and the most that its centre moves. */
  readonly least: number
  readonly most: number
  /** How many moments are past. */
  readonly at: number
  /** Nothing is on when it begins: no share of the load is kept. */
  readonly fromBare: boolean
}

const [WIDTH, LEFT, RIGHT] = [640, 52, 632]
const [TOP, FLOOR] = [12, 128]
const [SHIFT_MID, SHIFT_HALF] = [176, 26]

/** What the frame carries, moment by moment, and how far the centre of that moves along the board. */
export function LoadPicture({ moments, least, most, at, fromBare }: LoadPictureProps) {
  const shares = [fromBare ? 0 : 1, ...moments.map(({ carried }) => carried.share)]
  const shifts = [0, ...moments.map(({ carried }) => carried.shift)]
  const lowest = Math.min(...shares)
  const bottom = Math.max(0, Math.floor((Math.min(lowest, least) - 0.05) * 10) / 10)
  const furthest = Math.max(most * 1.25, ...shifts.map(Math.abs))
  const x = (i: number) => LEFT + ((RIGHT - LEFT) * i) / Math.max(1, moments.length)
  const y = (share: number) => TOP + ((1 - share) / (1 - bottom)) * (FLOOR - TOP)
  const side = (shift: number) => SHIFT_MID - (shift / furthest) * SHIFT_HALF
  const stepped = (values: readonly number[], of: (value: number) => number) =>
    values.map((value, i) => (i === 0 ? `M${x(0)},${of(value)}` : `H${x(i)}V${of(value)}`)).join('')
  const turns = moments.flatMap(({ go }, i) => (i > 0 && go !== moments[i - 1]?.go ? [{ go, i }] : []))
  const percent = (share: number) => `${Math.round(share * 100)} %`
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 214`}
      className="w-full min-w-[26rem]"
      role="img"
      aria-label={
        fromBare
          ? 'The frame’s load as it grows from nothing to the full one, and where its centre lies meanwhile'
          : `The frame’s load: never less than ${percent(lowest)} of the full one, where ${percent(least)} is kept to; its centre moves by ${percent(Math.max(...shifts.map(Math.abs)))} of the board at most`
      }
    >
      <g fontSize={12} fill="var(--soft)">
        {turns.map(({ go, i }) => (
          <line key={go} x1={x(i)} x2={x(i)} y1={TOP} y2={SHIFT_MID + SHIFT_HALF} stroke="var(--rule)" />
        ))}
        {goesOf(moments).map(({ go, from, to }, _, all) =>
          all.length > 16 && go % 5 !== 4 && go !== 0 ? null : (
            <text key={go} x={x((from + to) / 2)} y={146} textAnchor="middle">
              {go + 1}
            </text>
          ),
        )}
        <text x={LEFT - 8} y={146} textAnchor="end">
          go
        </text>
        <line x1={LEFT} x2={RIGHT} y1={y(1)} y2={y(1)} stroke="var(--rule)" />
        <text x={LEFT - 8} y={y(1) + 4} textAnchor="end">
          100 %
        </text>
        {!fromBare && (
          <>
            <line
              x1={LEFT}
              x2={RIGHT}
              y1={y(least)}
              y2={y(least)}
              stroke="var(--ochre)"
              strokeDasharray="6 4"
            />
            <text x={LEFT - 8} y={y(least) + 4} textAnchor="end" fill="var(--ochre)">
              {percent(least)}
            </text>
          </>
        )}
        <text x={LEFT - 8} y={side(0) + 4} textAnchor="end">
          centre
        </text>
        <line x1={LEFT} x2={RIGHT} y1={side(0)} y2={side(0)} stroke="var(--rule)" />
        {(fromBare ? [] : [most, -most]).map((shift) => (
          <line
            key={shift}
            x1={LEFT}
            x2={RIGHT}
            y1={side(shift)}
            y2={side(shift)}
            stroke="var(--ochre)"
            strokeDasharray="6 4"
          />
        ))}
      </g>
      <path d={stepped(shares, y)} fill="none" stroke="var(--verdigris)" strokeWidth={2} />
      <path d={stepped(shifts, side)} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      <line
        x1={x(at)}
        x2={x(at)}
        y1={4}
        y2={SHIFT_MID + SHIFT_HALF + 4}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle cx={x(at)} cy={y(shares[at] ?? 1)} r={4.5} fill="var(--ink)" />
    </svg>
  )
}

function goesOf(
  moments: readonly Moment[],
): readonly { readonly go: number; readonly from: number; readonly to: number }[] {
  const goes: { go: number; from: number; to: number }[] = []
  moments.forEach(({ go }, i) => {
    const last = goes.at(-1)
    if (last?.go === go) last.to = i + 1
    else goes.push({ go, from: i, to: i + 1 })
  })
  return goes
}
