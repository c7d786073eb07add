/** Two strings judged beside each other, by how far off pure they are taken to be, cents. */
export interface BeatsMark {
  readonly cents: number
  readonly words: string
  readonly isRight: boolean
}

interface BeatsDrawingProps {
  /** Beats a second at so many cents off pure. */
  readonly beatsAt: (cents: number) => number
  /** Where a tuner sets the string, cents off what sounds pure. */
  readonly tuner: number
  /** What it was, and what it was taken for; nothing while it is asked. */
  readonly marks: readonly BeatsMark[]
  readonly className?: string
}

const [WIDTH, LEFT, RIGHT, TOP, FLOOR] = [440, 50, 430, 8, 128]
const STRIP = { height: 30, gap: 26, top: 202 } as const
/** So far off the curve goes at least, cents: further than anything that is asked. */
const REACH = 30
const TICKED = [-48, -24, -12, -6, 0, 6, 12, 24, 48] as const
/** Faster than this nobody counts, beats a second. */
const COUNTED = 8
const STEPS = 120

/** What two strings beat by, the nearer to pure the slower; and a second of what was heard beside what it was taken for. */
export function BeatsDrawing({ beatsAt, tuner, marks, className }: BeatsDrawingProps) {
  const reach = Math.max(REACH, ...marks.map(({ cents }) => Math.abs(cents) * 1.15))
  const most = Math.max(beatsAt(-reach), beatsAt(reach), 0.1)
  const x = (cents: number) => LEFT + ((RIGHT - LEFT) * (cents + reach)) / (2 * reach)
  const y = (beats: number) => FLOOR - ((FLOOR - TOP) * beats) / most
  const curve = Array.from({ length: STEPS + 1 }, (_, i) => reach * ((2 * i) / STEPS - 1))
  const height = marks.length === 0 ? FLOOR + 44 : STRIP.top + marks.length * (STRIP.height + STRIP.gap) - 12
  const told = marks.map(({ cents, words }) => `${words}: ${beatsAt(cents).toFixed(1)} beats a second`)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className={className}
      role="img"
      aria-label={`Beats a second by how far off pure it is: none at pure, ${most.toFixed(0)} at ${Math.round(reach)} cents. ${told.join('; ')}`}
    >
      <g fontSize={14} fill="var(--soft)">
        {most > COUNTED && (
          <>
            <rect
              x={LEFT}
              y={TOP}
              width={RIGHT - LEFT}
              height={y(COUNTED) - TOP}
              fill="var(--rule)"
              opacity={0.35}
            />
            <text x={(LEFT + RIGHT) / 2} y={TOP + 16} textAnchor="middle">
              too fast to count
            </text>
          </>
        )}
        {beatLines(most).map((beats) => (
          <g key={beats}>
            <path d={`M${LEFT},${y(beats)}H${RIGHT}`} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(beats) + 5} textAnchor="end">
              {beats} /s
            </text>
          </g>
        ))}
        {TICKED.filter((cents) => Math.abs(cents) <= reach).map((cents) => (
          <g key={cents}>
            <path d={`M${x(cents)},${FLOOR}v5`} stroke="var(--line)" />
            <text x={x(cents)} y={FLOOR + 20} textAnchor="middle">
              {cents === 0 ? 'pure' : Math.abs(cents)}
            </text>
          </g>
        ))}
        <text x={LEFT} y={FLOOR + 38}>
          cents flat
        </text>
        <text x={RIGHT} y={FLOOR + 38} textAnchor="end">
          cents sharp
        </text>
        {Math.abs(tuner) >= 0.5 && Math.abs(tuner) < reach && (
          <>
            <path d={`M${x(tuner)},${TOP + 26}V${FLOOR}`} stroke="var(--soft)" strokeDasharray="4 3" />
            <text x={x(tuner) + (tuner < 0 ? -6 : 6)} y={TOP + 38} textAnchor={tuner < 0 ? 'end' : 'start'}>
              a tuner’s
            </text>
          </>
        )}
      </g>
      <path
        d={`M${curve.map((cents) => `${x(cents).toFixed(1)},${y(beatsAt(cents)).toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {marks.map((mark, i) => (
        <g key={mark.words}>
          <Mark {...mark} x={x(mark.cents)} y={y(beatsAt(mark.cents))} />
          <Second {...mark} beats={beatsAt(mark.cents)} y={STRIP.top + i * (STRIP.height + STRIP.gap)} />
        </g>
      ))}
    </svg>
  )
}

/** Even numbers of beats to draw lines at. */
function beatLines(most: number): readonly number[] {
  const step = [0.5, 1, 2, 5, 10, 20, 50].find((one) => most / one <= 4) ?? 100
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step)
}

function Mark({ isRight, x, y }: { isRight: boolean; x: number; y: number }) {
  return isRight ? (
    <circle cx={x} cy={y} r={7} fill="var(--verdigris)" stroke="var(--paper)" strokeWidth={2} />
  ) : (
    <path d={`M${x - 6},${y - 6}l12,12m0,-12l-12,12`} stroke="var(--ochre)" strokeWidth={3.5} />
  )
}

/** How loud the partials are that nearly meet, through one second. */
function Second(props: { words: string; isRight: boolean; beats: number; y: number }) {
  const { words, isRight, beats, y } = props
  const [middle, half] = [y + STRIP.height / 2, STRIP.height / 2 - 2]
  // Twelve points to a beat keep its shape.
  const points = Math.max(2, Math.ceil(12 * beats))
  const loud = Array.from({ length: points + 1 }, (_, i): [number, number] => [
    LEFT + ((RIGHT - LEFT) * i) / points,
    half * Math.abs(Math.cos(Math.PI * beats * (i / points))),
  ])
  const side = (of: readonly [number, number][], sign: number) =>
    of.map(([at, size]) => `${at.toFixed(1)},${(middle + sign * size).toFixed(1)}`).join('L')
  return (
    <>
      <path
        d={`M${side(loud, -1)}L${side(loud.toReversed(), 1)}Z`}
        fill={isRight ? 'var(--verdigris)' : 'var(--ochre)'}
        opacity={0.55}
      />
      <text x={LEFT} y={y - 5} fontSize={14} fill="var(--ink)">
        {words}
      </text>
      <text x={RIGHT} y={y - 5} fontSize={14} textAnchor="end" fill="var(--soft)">
        {beats < 0.05 ? 'no beat' : `${beats.toFixed(1)} beats`} in a second
      </text>
    </>
  )
}
