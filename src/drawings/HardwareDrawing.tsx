import type { HardwareColumn } from '@/core/hardware/columns'
import { TAIL_FASTENINGS, tailFacts } from '@/core/knots/fastenings'
import { Arrow, arrowHead, Dimension, INK, Label, PART, Sheet, STRING, WOOD } from './step/sheet'

interface HardwareDrawingProps {
  readonly of: HardwareColumn
  /** What it is now, beside its dimension line. */
  readonly text: string
  /** Whether the pin’s height is to its string hole, and not to its top. */
  readonly toHole?: boolean
}

const LOWER: readonly HardwareColumn[] = ['tail', 'board', 'eyelet']

/** From where to where a piece of hardware is measured. Not to scale. */
export function HardwareDrawing(props: HardwareDrawingProps) {
  const { of, text } = props
  if (of === 'post') return <Post text={text} />
  if (of === 'tail' && goesRound(text)) return <Post text="" />
  if (of === 'mechanism' || of === 'bearing') return null
  return LOWER.includes(of) ? <LowerEnd {...props} /> : <PinFromTheSide {...props} />
}

/** Whether a fastening goes round something, and through no wood. */
function goesRound(fastening: string): boolean {
  const known = TAIL_FASTENINGS.find((one) => one === fastening)
  return known !== undefined && ['loop', 'posts', 'foot'].includes(tailFacts(known).hold)
}

/** The board cut through where a string goes through it. */
function LowerEnd({ of, text }: HardwareDrawingProps) {
  return (
    <Sheet title="The board cut through at a string" note="not to scale; the inside of the box is below">
      <path d="M24,96H142V138H24ZM178,96H296V138H178Z" {...WOOD} />
      <path d="M160,20V158" {...STRING} strokeWidth={5} />
      <circle cx={160} cy={166} r={24} {...PART} />
      <path d="M146,160q14,-12 28,0q-12,16 -28,10" {...STRING} strokeWidth={4} />
      {of === 'board' && <Dimension from={[206, 96]} to={[206, 138]} text={text} />}
      {of === 'eyelet' && <Dimension from={[142, 82]} to={[178, 82]} text={text} />}
      <Label at={[84, 66]} to={[120, 104]} end>
        board
      </Label>
      <Label at={[92, 190]} to={[137, 170]} end>
        end knot
      </Label>
      <Label at={[214, 66]} to={[176, 98]}>
        eyelet
      </Label>
    </Sheet>
  )
}

/** A hitch pin or post from above, with the string round it. */
function Post({ text }: { readonly text: string }) {
  return (
    <Sheet title="A hitch pin or post with the string round it, from above" note="not to scale">
      <rect x={20} y={96} width={280} height={128} {...WOOD} opacity={0.5} />
      <path d="M124,14V150a36,36 0 0 0 72,0V14" {...STRING} strokeWidth={4} />
      <circle cx={160} cy={150} r={33} {...PART} />
      {text !== '' && <Dimension from={[127, 150]} to={[193, 150]} text={text} />}
    </Sheet>
  )
}

/** A pin as it stands in the wood, with the bridge pin that its string runs to. */
function PinFromTheSide({ of, text, toHole = false }: HardwareDrawingProps) {
  return (
    <Sheet title="A tuning pin from the side, and the bridge pin that its string runs to" note="not to scale">
      <rect x={20} y={178} width={280} height={50} {...WOOD} />
      <path d="M82,206V40H118V206" {...PART} />
      {Array.from({ length: 5 }, (_, i) => (
        <path key={i} d={`M82,${184 + i * 5}L118,${181 + i * 5}`} {...INK} strokeWidth={0.8} />
      ))}
      {[118, 125, 132].map((y) => (
        <path key={y} d={`M80,${y}L120,${y - 3}`} {...STRING} strokeWidth={5} />
      ))}
      <circle cx={100} cy={96} r={6} fill="var(--ink)" />
      <path d="M100,96L86,110M118,134L250,150" {...STRING} strokeWidth={4} />
      <path d="M244,178V142H256V178" {...PART} />
      {of === 'diameter' && <Dimension from={[82, 26]} to={[118, 26]} text={text} />}
      {(of === 'height' || of === 'datum') && (
        <Dimension
          from={[62, toHole ? 96 : 40]}
          to={[62, 178]}
          text={of === 'height' ? text : 'to here'}
          beside={-7}
        />
      )}
      {of === 'holeToEnd' && <Dimension from={[134, 40]} to={[134, 96]} text={text} />}
      {of === 'bridgeHeight' && <Dimension from={[272, 150]} to={[272, 178]} text={text} beside={-8} />}
      {of === 'toBridge' && <Dimension from={[100, 70]} to={[250, 70]} text={text} />}
      {of === 'thread' && <Dimension from={[126, 184]} to={[126, 204]} text={text} />}
      {(of === 'tightens' || of === 'gear' || of === 'turned') && (
        <>
          <Arrow turns d="M74,24a26,9 0 0 0 52,0" />
          <Arrow turns d={arrowHead(text === 'anticlockwise' ? [126, 22] : [74, 22], -90)} />
          <text x={140} y={26} fill="var(--ink)" fontWeight={600}>
            {text}
          </text>
        </>
      )}
      <Label at={[150, 108]} to={[106, 97]}>
        string hole
      </Label>
      <Label at={[206, 210]} to={[250, 170]} end>
        bridge pin
      </Label>
    </Sheet>
  )
}
