/**
 * The steps of a fitting in order, from the instrument, the position, the string, the house's habits and how things stand.
 */
import { directlyOver, layersOver } from '../instrument/layers'
import { isOnFoot } from '../knots/fastenings'
import type { Instrument, StringPosition } from '../instrument/instrument'
import { itemAt } from '../list/item-at'
import { cautionsOf } from './cautions'
import type { FittingContext, FittingState, StepMaker } from './context'
import type { FittingFigures } from './figures'
import type { Habits } from './habits'
import type { PlainStep, Step } from './step'
import { hookLoop, pegCord, seat, throughBoard, tieKnot, wrapFoot } from './step-makers/lower-end'
import { cutWire, pullAside, roundPosts, windFirst, windPair } from './step-makers/paired-wire'
import { inspect, makeReady, moveAside, prove, takeOff } from './step-makers/take-off'
import { toHalf } from './step-makers/to-half'
import { log, lookInside, putBack, stretch, toPitch, trim } from './step-makers/to-pitch'
import { cutAgain, cutAtPin, setPin, threadPin, wind } from './step-makers/upper-end'
import { twistLoop } from './step-makers/twist-loop'
import { knotComesFirst } from './threading'
import { withWorkshopKnot } from './workshop-knot'

/** Every step there is, in the order of the work; each leaves itself out where it does not apply. */
const before: readonly StepMaker[] = [makeReady, moveAside, takeOff, inspect, prove, setPin, cutWire]
const after: readonly StepMaker[] = [
  seat,
  twistLoop,
  hookLoop,
  windFirst,
  roundPosts,
  pullAside,
  pegCord,
  cutAtPin,
  threadPin,
  cutAgain,
  wind,
  windPair,
  wrapFoot,
  putBack,
  toHalf,
  toPitch,
  stretch,
  trim,
  lookInside,
  log,
]
const KNOT_FIRST = [...before, tieKnot, throughBoard, ...after]
const KNOT_AFTER = [...before, throughBoard, tieKnot, ...after]

/** The steps that apply, first to last. */
export function fittingSteps(context: FittingContext): readonly Step[] {
  const order = knotComesFirst(context) ? KNOT_FIRST : KNOT_AFTER
  const steps: PlainStep[] = []
  for (const make of order) {
    const step = make(context)
    if (step) steps.push(step)
  }
  const cautions = cautionsOf(
    context,
    steps.map((step) => step.key),
  )
  return steps.map((step, i) => Object.assign(step, { cautions: itemAt(cautions, i) }))
}

/** What the steps are made from, with what lies over the string looked up. */
export function fittingContext(
  instrument: Instrument,
  charted: StringPosition,
  figures: FittingFigures,
  habits: Habits,
  state: FittingState,
): FittingContext {
  const position = withWorkshopKnot(charted, habits)
  // Layers on a foot are reached only through everything above; a crossing on a scroll is loosened where it lies directly over.
  const over = isOnFoot(position) ? layersOver(instrument, charted) : directlyOver(instrument, charted)
  // On a bare instrument what lies over it goes on after it.
  const above = state.restring === 'from bare' ? [] : over
  return { instrument, position, figures, habits, state, above }
}
