/**
 * Cautions: each said once in a fitting, at the first step whose hand it concerns.
 */
import { MARGIN_BOUNDS } from '../strings/tension'
import type { Caution } from './caution'
import { coreMaterial } from '../strings/construction'
import { holdOf, inBox, isWhole, only, wired, type FittingContext } from './context'
import { STEP_KEYS, type StepKey } from './step'

/** Whether the new string is cut in this step, under the house's way of cutting. */
function cutsNew(context: FittingContext, step: StepKey): boolean {
  const { habits, state } = context
  if (holdOf(context) === 'posts')
    return !state.forPractice && (step === 'mark' || step === 'pull-aside' || step === 'trim')
  if (step === 'mark') return habits.cutting === 'on the instrument, then wind' && !state.sameString
  // An S is snipped as soon as it is kinked.
  if (step === 'thread-pin') return only(context).head === 'kinked both sides' && !state.sameString
  return step === 'cut-again' || step === 'trim'
}

/** Whether glue is used on the knot: beads and nylon creep open without it. */
export function isGlued(context: FittingContext): boolean {
  const { figures, habits } = context
  const nylon = coreMaterial(figures.construction).name.startsWith('nylon')
  return nylon && (holdOf(context) === 'bead' || (figures.needsAnchor && habits.anchor === 'bead and glue'))
}

/** Past these shares of its strength a string stands close to breaking, in its length and at its knot. */
const CLOSE = { length: MARGIN_BOUNDS.shortLived, knot: 1 } as const

interface Rule {
  readonly caution: Caution
  /** The steps it can concern. */
  readonly at: readonly StepKey[]
  readonly when: (context: FittingContext, step: StepKey) => boolean
}

const always = () => true
const CUTS: readonly StepKey[] = ['mark', 'wind-first', 'pull-aside', 'cut-again', 'thread-pin', 'trim']

/** Where each caution applies. */
const RULES: readonly Rule[] = [
  { caution: 'fall', at: ['make-ready'], when: always },
  { caution: 'eyes', at: ['make-ready'], when: wired },
  {
    caution: 'thumb',
    at: ['move-aside', 'take-off'],
    when: (context, step) => step === 'move-aside' || isWhole(context),
  },
  // Old wire is cut back before it is drawn through a soundboard.
  {
    caution: 'off-cut',
    at: ['take-off', ...CUTS],
    when: (context, step) =>
      wired(context) &&
      (step === 'take-off' ? inBox(context) && !context.state.forPractice : cutsNew(context, step)),
  },
  { caution: 'stop', at: ['inspect'], when: always },
  { caution: 'class', at: ['prove'], when: ({ state }) => state.classDiffers },
  { caution: 'glue', at: ['seat'], when: isGlued },
  { caution: 'gloves', at: ['wrap-foot'], when: always },
  { caution: 'cutter', at: CUTS, when: cutsNew },
  { caution: 'key', at: ['wind-first', 'wind'], when: always },
  {
    caution: 'breaking',
    at: ['to-pitch'],
    when: (context) =>
      only(context).utilisation > CLOSE.length || (only(context).knotUtilisation ?? 0) > CLOSE.knot,
  },
]

const RULES_AT = new Map(STEP_KEYS.map((step) => [step, RULES.filter(({ at }) => at.includes(step))]))
const NONE: readonly Caution[] = []

/** The cautions of each step, in order, each at the first step where it applies. */
export function cautionsOf(
  context: FittingContext,
  steps: readonly StepKey[],
): readonly (readonly Caution[])[] {
  const said = new Set<Caution>()
  return steps.map((step) => {
    const rules = RULES_AT.get(step) as readonly Rule[]
    if (rules.length === 0) return NONE
    const here = rules
      .filter(({ caution, when }) => !said.has(caution) && when(context, step))
      .map(({ caution }) => caution)
    for (const caution of here) said.add(caution)
    return here
  })
}
