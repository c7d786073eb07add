/** Which way a string goes through the board. */
import { isHarp } from '../instrument/instrument'
import { holdOf, type FittingContext } from './context'

/**
 * Whether it is knotted first and fed up from inside. On a kit harp the string itself decides: a wound one comes with its
 * end on and goes in from inside, a plain one goes down from the front and is tied in the box. Elsewhere the method does.
 */
export function knotComesFirst(context: FittingContext): boolean {
  const { figures, habits, instrument } = context
  if (isHarp(instrument) && holdOf(context) === 'bead') return figures.construction.kind === 'wound'
  return habits.threading === 'from inside, knot first'
}
