'use client'

import type { FittingContext } from '@/core/fitting/context'
import { footOf } from '@/core/fitting/feet'
import { hasHitchPin } from '@/core/fitting/parts'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { Arrow, arrowHead, Dimension, Label, PART, Sheet, STRING, WIDTH, WOOD } from './sheet'

interface LowerEndStepProps {
  readonly context: FittingContext
  readonly kind: 'loop' | 'posts' | 'cord' | 'foot'
}

/** The lower end of a string that is not tied behind a board. */
export function LowerEndStep({ context, kind }: LowerEndStepProps) {
  switch (kind) {
    case 'loop':
      return hasHitchPin(context.position) || context.position.tail.fastening === 'round two posts' ? (
        <Loop context={context} />
      ) : (
        <LoopThroughItself />
      )
    case 'posts':
      return <Posts context={context} />
    case 'cord':
      return <Cord />
    case 'foot':
      return <Foot context={context} />
  }
}

/** A loop on its hitch pin from above and from the side. */
function Loop({ context: { position } }: { context: FittingContext }) {
  const { units } = useWorkshop()
  const pin = measureText(measure('width', position.tail.postDiameter ?? 0), units)
  return (
    <Sheet
      title="The loop over its hitch pin, from above and from the side"
      note="left from above, right from the side"
    >
      <rect x={12} y={14} width={132} height={212} {...WOOD} opacity={0.5} />
      <path
        d="M78,226V112M78,112C52,92 52,52 78,52C104,52 104,92 78,112M74,126L82,118M74,138L82,130"
        {...STRING}
        strokeWidth={3.4}
      />
      <circle cx={78} cy={62} r={8} {...PART} />
      <Label at={[100, 28]} to={[82, 58]}>
        {pin}
      </Label>
      <rect x={172} y={150} width={136} height={40} {...WOOD} />
      <path d="M214,170V86h18V170" {...PART} />
      <path d="M206,140H240M240,140Q256,138 308,96" {...STRING} strokeWidth={4} />
      <Arrow d={`M196,92V132${arrowHead([196, 132], 90)}`} />
      <text x={240} y={210} textAnchor="middle" fill="var(--ink)">
        low, at the wood
      </text>
    </Sheet>
  )
}

/** A loop that has no pin: led under the bridge and up behind it, and the string drawn through its own loop. */
function LoopThroughItself() {
  return (
    <Sheet
      title="From the side: the wire goes under the bridge, up behind it and over; the long end goes through its own loop"
      note="from the side: there is no hitch pin"
    >
      <rect x={12} y={196} width={296} height={28} {...WOOD} />
      <path d="M104,196V176H176V196" {...PART} />
      <path d="M104,176V112Q140,92 176,112V176Z" {...PART} />
      <path
        d="M218,104C206,84 176,84 140,84C96,84 84,96 84,132C84,172 92,186 120,186H188C210,186 214,150 218,120Q222,104 240,104H308"
        {...STRING}
        strokeWidth={4}
      />
      <ellipse cx={219} cy={108} rx={7} ry={13} fill="none" stroke="var(--verdigris)" strokeWidth={4} />
      <Arrow d={`M240,76H296${arrowHead([296, 76], 0)}`} />
      <text x={240} y={64} fill="var(--ink)">
        draw it up
      </text>
      <Label at={[232, 150]} to={[222, 118]}>
        its own loop
      </Label>
      <Label at={[14, 60]} to={[84, 128]}>
        up behind
      </Label>
      <text x={140} y={142} textAnchor="middle" fill="var(--soft)">
        bridge
      </text>
    </Sheet>
  )
}

/** The wire's middle round both posts. */
function Posts({ context: { figures } }: { context: FittingContext }) {
  const { units } = useWorkshop()
  const [first, second] = figures.strings
  if (!first || !second) return null
  const gap = Math.abs(first.position.at.tail.x - second.position.at.tail.x)
  const d = first.position.tail.postDiameter ?? 0
  const scale = 96 / gap
  const [left, right] = [WIDTH / 2 - 48, WIDTH / 2 + 48]
  const r = Math.max(8, (d * scale) / 2)
  const [a, b] = first.position.at.tail.x < second.position.at.tail.x ? [first, second] : [second, first]
  return (
    <Sheet
      title="One wire round both hitch posts, its middle between them"
      note={`from above, to scale, ${(scale / 1000).toFixed(0)} : 1`}
    >
      <rect x={12} y={14} width={296} height={212} {...WOOD} opacity={0.5} />
      <path
        d={`M${left - r - 2},20V150A${r + 2},${r + 2} 0 0 0 ${left},${152 + r}H${right}A${r + 2},${r + 2} 0 0 0 ${right + r + 2},150V20`}
        {...STRING}
        strokeWidth={3.4}
      />
      {[left, right].map((x) => (
        <circle key={x} cx={x} cy={150} r={r} {...PART} />
      ))}
      <path d={`M${WIDTH / 2},${144 + r}v16`} stroke="var(--ochre)" strokeWidth={3} />
      <Label at={[WIDTH / 2 + 8, 204]} to={[WIDTH / 2, 156 + r]}>
        middle, {measureText(measure('length', figures.cut.total / 2), units)}
      </Label>
      <Dimension from={[left, 112]} to={[right, 112]} text={measureText(measure('length', gap), units)} />
      <text x={left - r - 8} y={34} textAnchor="end" fill="var(--soft)">
        to pin {a.position.called.number}
      </text>
      <text x={right + r + 8} y={34} fill="var(--soft)">
        to pin {b.position.called.number}
      </text>
      {[left - r - 2, right + r + 2].map((x) => (
        <Arrow key={x} d={`M${x},60V40${arrowHead([x, 40], -90)}`} />
      ))}
    </Sheet>
  )
}

/** The stopper loop caught in its peg's cord. */
function Cord() {
  return (
    <Sheet
      title="The stopper loop caught in the peg's cord"
      note="the cord stays on the peg: its length sets the stop"
    >
      <rect x={24} y={88} width={70} height={40} rx={6} {...WOOD} />
      <circle cx={59} cy={108} r={15} {...PART} />
      <path
        d="M74,108H150C176,108 176,88 158,88C140,88 140,128 158,128C176,128 178,112 168,108"
        fill="none"
        stroke="var(--ochre)"
        strokeWidth={4}
        strokeLinecap="round"
      />
      <path
        d="M300,108H196C170,104 166,92 176,88C190,84 194,104 182,112C176,116 168,116 160,110M188,110l10,16"
        {...STRING}
        strokeWidth={4.5}
      />
      <Label at={[66, 184]} to={[110, 108]}>
        cord
      </Label>
      <Label at={[196, 176]} to={[180, 112]}>
        stopper loop
      </Label>
      <text x={40} y={76} fill="var(--soft)">
        peg
      </text>
      <text x={232} y={98} fill="var(--soft)">
        the string
      </text>
    </Sheet>
  )
}

/** The foot with the strings wound over each other on it, the one in hand picked out. */
function Foot({ context }: { context: FittingContext }) {
  const { position, above, instrument } = context
  const { units } = useWorkshop()
  const over = (a: number, b: number) => instrument.coverings.some((c) => c.over === a && c.under === b)
  const below: number[] = []
  for (let next: number | undefined = position.number; next !== undefined;) {
    const at: number = next
    next = instrument.positions.find((p) => over(at, p.number) && !below.includes(p.number))?.number
    if (next !== undefined) below.push(next)
  }
  /** From the foot outward. */
  const layers = [...below].reverse().concat(
    position.number,
    [...above].reverse().map((p) => p.number),
  )
  const calledOf = (number: number) => instrument.positions[number - 1]?.called.number ?? number
  const told = (numbers: readonly number[]) =>
    numbers
      .map(calledOf)
      .sort((a, b) => a - b)
      .join(', ')
  const post = (position.tail.postDiameter ?? 0.018) * 1000
  const together = footOf(context)
  const step = Math.min(16, 70 / layers.length)
  return (
    <Sheet
      title={`String ${position.called.number} on its foot, with ${layers.length - 1} others`}
      note={together.length > 1 ? `strings ${told(together)} share this foot` : 'from the side'}
    >
      <rect x={20} y={190} width={280} height={34} {...WOOD} />
      <rect x={136} y={40} width={48} height={150} rx={10} {...WOOD} />
      {layers.map((number, i) => {
        const out = 8 + i * step
        const own = number === position.number
        return (
          <g key={number}>
            {[0, 1, 2, 3].map((t) => (
              <path
                key={t}
                d={`M${136 - out},${178 - t * 12 - i * 5}Q160,${188 - t * 12 - i * 5} ${184 + out},${174 - t * 12 - i * 5}`}
                {...STRING}
                strokeWidth={own ? 5 : 3.4}
                stroke={own ? 'var(--verdigris)' : 'var(--line)'}
              />
            ))}
            <text
              x={192 + out}
              y={176 - i * 15}
              fill={own ? 'var(--ink)' : 'var(--soft)'}
              fontWeight={own ? 600 : 400}
            >
              {calledOf(number)}
            </text>
          </g>
        )
      })}
      <Arrow d={`M52,60V128${arrowHead([52, 128], 90)}`} />
      <text x={64} y={76} fill="var(--ink)">
        pull hard,
      </text>
      <text x={64} y={92} fill="var(--ink)">
        below pitch
      </text>
      <Dimension from={[136, 30]} to={[184, 30]} text={measureText(measure('length', post / 1000), units)} />
      <text x={160} y={212} textAnchor="middle" fill="var(--ink)">
        first turns close to the board
      </text>
    </Sheet>
  )
}
