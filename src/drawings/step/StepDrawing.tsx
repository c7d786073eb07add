'use client'

import type { FittingContext } from '@/core/fitting/context'
import { knotComesFirst } from '@/core/fitting/threading'
import { isCutFlush, isThreadedTwice } from '@/core/fitting/head-way'
import type { Step } from '@/core/fitting/step'
import { isLockedFirst, isOnFoot, lockSentences } from '@/core/knots/fastenings'
import { CutDrawing } from '../CutDrawing'
import { KeyDial } from '../KeyDial'
import { PinDrawing } from '../PinDrawing'
import { SidewaysPull, SlackDrawing } from '../SlackDrawing'
import { AnchorWay } from './AnchorWay'
import { BoardStep } from './BoardStep'
import { FootWay } from './FootWay'
import { GaugeStep } from './GaugeStep'
import { KnotStep } from './KnotStep'
import { LiesStep } from './LiesStep'
import { ThreadFromSide } from './ThreadFromSide'
import { TwistStep } from './TwistStep'
import { LockStep } from './LockStep'
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
  const lock = lockSentences(string.head).length > 0 && (
    <LockStep figures={string} context={context} jobId={jobId} />
  )
  const lockedFirst = isLockedFirst(string.head) && lock
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
          {!isLockedFirst(string.head) && lock}
          <PinDrawing figures={string} className="mx-auto h-56 w-full" />
        </div>
      )
    case 'knot':
      return <KnotStep context={context} jobId={jobId} />
    case 'through':
      return (
        <div>
          <BoardStep figures={figures} habits={habits} stage="through" />
          {figures.needsAnchor && knotComesFirst(context) && <AnchorWay />}
        </div>
      )
    case 'seat':
    case 'inside':
      return <BoardStep figures={figures} habits={habits} stage={step.picture} />
    case 'twist':
      return <TwistStep context={context} />
    case 'foot':
      return (
        <div>
          <LowerEndStep context={context} kind="foot" />
          <FootWay />
        </div>
      )
    case 'loop':
    case 'posts':
    case 'cord':
      return <LowerEndStep context={context} kind={step.picture} />
    case 'cut':
      return (
        <div className="grid gap-2">
          <CutDrawing cut={figures.cut} />
          {step.key === 'cut-again' && lockedFirst}
        </div>
      )
    case 'slack':
      return step.key === 'pull-aside' && second?.pair ? (
        <SidewaysPull figures={string} pull={second.pair} />
      ) : (
        <div className="grid gap-2">
          <ThreadFromSide
            figures={string}
            flush={isCutFlush(string.position, habits) && !context.state.sameString}
          />
          {step.key === 'thread-pin' && !isThreadedTwice(context) && lockedFirst}
          <SlackDrawing instrument={instrument} figures={string} />
        </div>
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
