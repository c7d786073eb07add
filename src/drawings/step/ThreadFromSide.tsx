import type { StringFigures } from '@/core/fitting/figures'
import { Arrow, arrowHead, INK, PART, Sheet, STRING, WOOD } from './sheet'

interface ThreadFromSideProps {
  readonly figures: StringFigures
  /** Whether the end stops in the hole, cut to its length. */
  readonly flush: boolean
}

/** A threading from the side: which end of the hole the string goes in, where it comes out, over or under the pin. */
export function ThreadFromSide({ figures, flush }: ThreadFromSideProps) {
  switch (figures.position.head.pin.setting) {
    case 'through the neck':
      return <ThroughNeck flush={flush} isKinked={figures.head === 'kinked both sides'} />
    case 'upright':
      return <Upright flush={flush} isKinked={figures.head === 'kinked both sides'} />
    case 'across a scroll':
      return <ScrollFromSide />
  }
}

interface EndProps {
  readonly flush: boolean
  readonly isKinked: boolean
}

const THICK = 5

/** What becomes of the end, in words. */
const endWords = ({ flush, isKinked }: EndProps, way: string) =>
  flush ? 'stops flush with the hole' : isKinked ? 'a kink on either side' : `bent ${way}`

/** A pin that comes out of a harp's neck: the string from below, in at the bottom and out at the top. */
function ThroughNeck(end: EndProps) {
  const [x, y, r] = [170, 122, 26]
  return (
    <Sheet
      title={`The pin from the side: the string goes in at the bottom of its hole and comes out at the top; the end ${endWords(end, 'toward the neck')}`}
      note="from the side; the neck lies to the left"
    >
      <rect x={20} y={30} width={92} height={176} {...WOOD} />
      <path d={`M112,${y - r}H232V${y + r}H112`} {...PART} />
      <path d={`M${x - 5},${y - r}V${y + r}M${x + 5},${y - r}V${y + r}`} {...INK} strokeDasharray="4 3" />
      <path d={`M${x},236V${y + r}`} {...STRING} strokeWidth={THICK} />
      {!end.flush && (
        <path
          d={`M${x},${y - r}V${y - r - 14}${end.isKinked ? `h26v10` : `q0,-8 -10,-6l-46,10`}`}
          {...STRING}
          strokeWidth={THICK}
        />
      )}
      <Arrow d={`M${x + 22},228V${y + r + 18}${arrowHead([x + 22, y + r + 18], -90)}`} />
      <text x={x + 32} y={196} fill="var(--ink)">
        in at the bottom
      </text>
      {!end.flush && (
        <text x={206} y={44} textAnchor="middle" fontWeight={600} fill="var(--ink)">
          out at the top,
        </text>
      )}
      <text x={206} y={62} textAnchor="middle" fontWeight={600} fill="var(--ink)">
        {endWords(end, 'toward the neck')}
      </text>
      <text x={118} y={y + 4} fill="var(--soft)">
        wraps
      </text>
    </Sheet>
  )
}

/** A pin that stands in a block: the string from the bridge straight through, the wraps below the hole. */
function Upright(end: EndProps) {
  const [x, y, r] = [104, 88, 22]
  return (
    <Sheet
      title={`The pin from the side: the string goes in on the bridge’s side and comes out behind; the end ${endWords(end, 'downward')}`}
      note="from the side; the bridge lies to the right"
    >
      <rect x={20} y={178} width={280} height={28} {...WOOD} />
      <path d={`M${x - r},178V52H${x + r}V178`} {...PART} />
      <path d={`M${x - r},${y - 5}H${x + r}M${x - r},${y + 5}H${x + r}`} {...INK} strokeDasharray="4 3" />
      <path d={`M304,${y}H${x + r}`} {...STRING} strokeWidth={THICK} />
      {!end.flush && (
        <path
          d={`M${x - r},${y}h-10${end.isKinked ? 'v-26h10' : 'q-8,0 -6,10l8,26'}`}
          {...STRING}
          strokeWidth={THICK}
        />
      )}
      <Arrow d={`M262,${y + 20}H${x + r + 16}${arrowHead([x + r + 16, y + 20], 180)}`} />
      <text x={304} y={y - 12} textAnchor="end" fill="var(--ink)">
        in from the bridge’s side
      </text>
      <text x={x} y={40} textAnchor="middle" fontWeight={600} fill="var(--ink)">
        {endWords(end, 'downward')}
      </text>
      <text x={x + r + 10} y={150} fill="var(--soft)">
        wraps below the hole
      </text>
    </Sheet>
  )
}

/** The pin of a scroll from the side: its hole level along the instrument, the string over the top and back through. */
function ScrollFromSide() {
  const [x, y] = [120, 120]
  const r = 40
  return (
    <Sheet
      title="The pin from the side: the hole lies along the instrument, and the string goes over the top and back through it toward the body"
      note="from the side; the body lies to the right"
    >
      <rect x={20} y={176} width={280} height={30} {...WOOD} />
      <circle cx={x} cy={y} r={r} {...PART} />
      <path d={`M${x - r},${y - 6}H${x + r}M${x - r},${y + 6}H${x + r}`} {...INK} strokeDasharray="4 3" />
      <path
        d={`M308,${y - r - 3}H${x}C${x - r - 28},${y - r - 3} ${x - r - 34},${y} ${x - r},${y}`}
        {...STRING}
        strokeWidth={5}
      />
      <path d={`M${x + r},${y}h46`} {...STRING} strokeWidth={5} />
      <Arrow d={`M${x + 52},${y + 24}h52${arrowHead([x + 104, y + 24], 0)}`} />
      <text x={304} y={58} textAnchor="end" fill="var(--ink)">
        from the nut, over the top
      </text>
      <text x={214} y={y + 4} fill="var(--ink)">
        the end
      </text>
      <text x={x} y={34} textAnchor="middle" fontWeight={600} fill="var(--ink)">
        hole level, along the instrument
      </text>
      <text x={172} y={164} fill="var(--soft)">
        back toward the body
      </text>
    </Sheet>
  )
}
