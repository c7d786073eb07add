'use client'

import type { FittingContext } from '@/core/fitting/context'
import type { Step } from '@/core/fitting/step'
import { isOnFoot } from '@/core/knots/fastenings'
import { CutDrawing } from '../CutDrawing'
import { KeyDial } from '../KeyDial'
import { PinDrawing } from '../PinDrawing'
import { SidewaysPull, SlackDrawing } from '../SlackDrawing'
import { BoardStep } from './BoardStep'
import { GaugeStep } from './GaugeStep'
import { KnotStep } from './KnotStep'
import { LiesStep } from './LiesStep'
import { TwistStep } from './TwistStep'
import { LowerEndStep } from './LowerEndStep'
import { PinStep } from './PinStep'
import { RunStep } from './RunStep'

/** The picture of a step, drawn from the same figures as its words. */
export function StepDrawing({
  step,
  context,
  jobId,
}: {
  step: Step
  context: FittingContext
  jobId: number
}) {
  const { figures, habits, instrument } = context
  const [string, second] = figures.strings
  if (!string) return null
  switch (step.picture) {
    case 'ready':
    case 'off':
      return <LiesStep context={context} mode={step.picture} />
    case 'path':
      return <RunStep context={context} mode="feel" />
    case 'pulls':
      return <RunStep context={context} mode="pulls" />
    case 'gauge':
      return <GaugeStep context={context} />
    case 'pin':
      return <PinStep figures={string} mode="set" higher={string.standHigher} hand={habits.hand} />
    case 'stub':
      return <PinStep figures={string} mode="stub" hand={habits.hand} />
    case 'wraps':
      return (
        <div className="grid gap-2">
          <PinStep
            figures={string}
            mode="turn"
            turns={step.figures.find((f) => f.measure.quantity === 'turns')?.measure.value ?? null}
            hand={habits.hand}
          />
          <PinDrawing figures={string} className="mx-auto h-56 w-full" />
        </div>
      )
    case 'knot':
      return <KnotStep context={context} jobId={jobId} />
    case 'through':
    case 'seat':
    case 'inside':
      return <BoardStep figures={figures} habits={habits} stage={step.picture} />
    case 'twist':
      return <TwistStep context={context} />
    case 'loop':
    case 'posts':
    case 'cord':
    case 'foot':
      return <LowerEndStep context={context} kind={step.picture} />
    case 'cut':
      return <CutDrawing cut={figures.cut} />
    case 'slack':
      return step.key === 'pull-aside' && second?.pair ? (
        <SidewaysPull figures={string} pull={second.pair} />
      ) : (
        <SlackDrawing instrument={instrument} figures={string} />
      )
    case 'key':
      return (
        <KeyDial
          keyFigures={string.key}
          clockwise={string.position.head.pin.tightens === 'clockwise'}
          toHalf={step.key === 'to-half' && !isOnFoot(string.position)}
          className="mx-auto h-72 w-full"
        />
      )
    case null:
      return null
  }
}
