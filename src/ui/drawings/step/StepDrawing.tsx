'use client'

import Link from 'next/link'
import type { FittingContext } from '@/core/fitting/context'
import type { Step } from '@/core/fitting/step'
import { tieOf } from '@/core/knots/ties/ties'
import { FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import { CutDrawing } from '../CutDrawing'
import { KeyDial } from '../KeyDial'
import { KnotDrawing } from '../KnotDrawing'
import { PinDrawing } from '../PinDrawing'
import { SlackDrawing } from '../SlackDrawing'
import { BoardStep } from './BoardStep'
import { GaugeStep } from './GaugeStep'
import { LiesStep } from './LiesStep'
import { LowerEndStep } from './LowerEndStep'
import { PinStep } from './PinStep'
import { RunStep } from './RunStep'

/** The knot as it is tied, where its way is drawn; else how it lies at the board. */
function KnotStep({ context: { figures, habits, position } }: { context: FittingContext }) {
  const { fastening } = position.tail
  const tie = tieOf(fastening)
  if (!tie) return <BoardStep figures={figures} habits={habits} stage="knot" />
  return (
    <figure>
      <KnotDrawing tie={tie} before={0} until={1} view={FROM_OUTSIDE} hand={habits.hand} title={`The ${fastening} knot, still open`} className="mx-auto max-h-72 w-full" />
      <figcaption className="text-center text-sm"><Link href={`/knots?knot=${encodeURIComponent(fastening)}`} className="inline-flex min-h-11 items-center underline underline-offset-4">Stage by stage, from either side</Link></figcaption>
    </figure>
  )
}

/** The picture of a step, drawn from the same figures as its words. */
export function StepDrawing({ step, context }: { step: Step; context: FittingContext }) {
  const { figures, habits, instrument } = context
  const string = figures.strings[0]
  if (!string) return null
  switch (step.picture) {
    case 'ready': case 'off': return <LiesStep context={context} mode={step.picture} />
    case 'path': return <RunStep context={context} mode="feel" />
    case 'pulls': return <RunStep context={context} mode="pulls" />
    case 'gauge': return <GaugeStep context={context} />
    case 'pin': return <PinStep figures={string} mode="set" higher={step.figures[0]?.measure.value ?? null} hand={habits.hand} />
    case 'stub': return <PinStep figures={string} mode="stub" hand={habits.hand} />
    case 'wraps': return <div className="grid gap-2"><PinStep figures={string} mode="turn" hand={habits.hand} /><PinDrawing figures={string} className="mx-auto h-56 w-full" /></div>
    case 'knot': return <KnotStep context={context} />
    case 'through': case 'seat': case 'inside': return <BoardStep figures={figures} habits={habits} stage={step.picture} />
    case 'loop': case 'posts': case 'cord': case 'foot': return <LowerEndStep context={context} kind={step.picture} />
    case 'cut': return <CutDrawing cut={figures.cut} />
    case 'slack': return <SlackDrawing instrument={instrument} figures={string} />
    case 'key': return <KeyDial keyFigures={string.key} clockwise={string.position.head.pin.tightens === 'clockwise'} className="mx-auto h-72 w-full" />
    case null: return null
  }
}
