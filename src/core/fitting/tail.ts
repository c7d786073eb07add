/**
 * What becomes of a string's tail after it is wound.
 */
import { holdOf, only, wired, type FittingContext } from './context'
import { isCutFlush } from './head-way'

/**
 * - `none`: it is flush in its hole, snipped before winding, or wrapped on a foot
 * - `at once`: it is cut to its stub now, as the ends of wires always are
 * - `parked`: it stays long until the string has settled
 */
export type TailRule = 'none' | 'at once' | 'parked'

/** What the house does with the tail of this string. */
export function ruleOfTail(context: FittingContext): TailRule {
  const { position, habits, state } = context
  if (holdOf(context) === 'foot' || only(context).head === 'kinked both sides' || state.forPractice)
    return 'none'
  if (isCutFlush(position, habits) && !state.sameString) return 'none'
  return wired(context) || habits.tailTrim === 'at once' ? 'at once' : 'parked'
}
