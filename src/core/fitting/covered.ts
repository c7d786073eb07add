/**
 * A string that lies under others broke: what each way of getting at it costs, in minutes and in retunes.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { directlyOver, layersOver, sameLayers } from '../instrument/layers'
import { isOnFoot } from '../knots/fastenings'
import { FIRST_TUNED, MOVED_SHARE, newLaw, retunePlan } from '../settle/drift'
import { coreMaterial } from '../strings/construction'
import type { Habits } from './habits'

export type CoveredWay = Exclude<Habits['covered'], 'by time and retunes'>

export interface CoveredPlan {
  readonly way: CoveredWay
  /** Strings that go on new, the broken one first. */
  readonly renewed: readonly StringPosition[]
  /** Strings that come off or aside and go back. */
  readonly moved: readonly StringPosition[]
  /** Strings that are only pressed otherwise, and are tuned again once. */
  readonly shifted: readonly StringPosition[]
  /** At the bench now. */
  readonly minutes: number
  /** Over the two weeks after. */
  readonly retunes: number
  /** Both together, min. */
  readonly total: number
}

/** What a piece of the work takes, min. Our own estimates. */
export const MINUTES = {
  ready: 5,
  foot: { uncover: 4, putBack: 6, renew: 15 },
  scroll: { uncover: 2, putBack: 3, renew: 8 },
  retune: 1.5,
} as const

/** Off, on and up to pitch; tuned after that a few times, min. */
const FITTING = MINUTES.foot.renew
const TUNING = 4 * MINUTES.retune

/** What changing a string takes, min: off, on and up to pitch, and tuned after it a few times; setting out to it; tuning the others again. */
export const TO_CHANGE = {
  fitting: FITTING,
  tuning: TUNING,
  string: FITTING + TUNING,
  settingOut: MINUTES.ready,
  tuningTheRest: 40,
} as const

const TWO_WEEKS = 336
const MANY = 200

/**
 * The three ways, priced.
 *
 * @param tolerance - cents at which the house retunes
 * @returns none where nothing lies over the string
 */
export function coveredPlans(
  instrument: Instrument,
  position: StringPosition,
  tolerance: number,
): readonly CoveredPlan[] {
  const feet = isOnFoot(position)
  const above = feet ? layersOver(instrument, position) : directlyOver(instrument, position)
  if (above.length === 0) return []
  const cost = feet ? MINUTES.foot : MINUTES.scroll
  const together = feet ? sameLayers(instrument, position) : [position, ...above]
  const price = (
    way: CoveredWay,
    renewed: readonly StringPosition[],
    moved: readonly StringPosition[],
    shifted: readonly StringPosition[],
  ): CoveredPlan => {
    const minutes = MINUTES.ready + moved.length * (cost.uncover + cost.putBack) + renewed.length * cost.renew
    const retunes =
      sum(renewed, (p) => retunesOf(p, tolerance, 1)) +
      sum(moved, (p) => retunesOf(p, tolerance, MOVED_SHARE)) +
      shifted.length
    return { way, renewed, moved, shifted, minutes, retunes, total: minutes + retunes * MINUTES.retune }
  }
  const others = together.filter((p) => p !== position)
  const rest = instrument.positions.filter((p) => p !== position)
  return [
    price(
      'uncover and put back',
      [position],
      above,
      others.filter((p) => !above.includes(p)),
    ),
    price('redo that foot', [position, ...others], [], []),
    price('redo all', [position, ...rest], [], []),
  ]
}

const sum = (positions: readonly StringPosition[], of: (p: StringPosition) => number) =>
  positions.reduce((so, p) => so + of(p), 0)

/** Retunes in two weeks, the first one included. */
function retunesOf(position: StringPosition, tolerance: number, share: number): number {
  const law = newLaw(coreMaterial(position.construction).drift * share)
  return 1 + retunePlan(law, FIRST_TUNED, tolerance, TWO_WEEKS, MANY).length
}

/** The way that a habit chooses: the one named, or the one that takes least time with its retunes. */
export function chosenPlan(plans: readonly CoveredPlan[], habit: Habits['covered']): CoveredPlan | null {
  if (habit !== 'by time and retunes') return plans.find((plan) => plan.way === habit) ?? null
  return plans.reduce<CoveredPlan | null>(
    (best, plan) => (best === null || plan.total < best.total ? plan : best),
    null,
  )
}

/** What a way is called on this instrument: a scroll has no feet. */
export function wayWord(way: CoveredWay, position: StringPosition): string {
  if (way === 'redo all') return 'Redo all'
  if (way === 'uncover and put back')
    return isOnFoot(position) ? 'Uncover and put back' : 'Move aside and put back'
  return isOnFoot(position) ? 'Redo that foot' : 'Redo it and those over it'
}
