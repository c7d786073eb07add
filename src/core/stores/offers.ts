/**
 * Which coils to offer for a cut: what is already open and long enough first, so that a fresh coil is opened last.
 */
import type { StringPosition, TensionClass } from '../instrument/instrument'
import { fitOf, type CoilSpec, type Fit, type FitGrade } from './fits'

export interface ShelfCoil extends CoilSpec {
  readonly id: number
  /** m */
  readonly lengthLeft: number
  /** Whether a string has been cut from it before. */
  readonly opened: boolean
}

export interface Offer<Coil extends ShelfCoil> {
  readonly coil: Coil
  readonly fit: Fit
  /** What is left after the cut, m; negative by how much it is too short. */
  readonly leaves: number
  /** How many such cuts the coil holds. */
  readonly yields: number
}

const GRADES: readonly FitGrade[] = ['exact', 'other colour', 'next gauge']

/**
 * Offers for one position, best first: long enough before too short, the charted string before a stand-in, an opened
 * remainder before a fresh coil, and of those the one that leaves least. Coils that don't fit are left out.
 *
 * @param coils - the shelf
 * @param position - where the string goes
 * @param wanted - the instrument's tension class
 * @param cutFor - the length to cut from a given coil, m; a different gauge takes a different knot
 */
export function offersFor<Coil extends ShelfCoil>(
  coils: readonly Coil[], position: StringPosition, wanted: TensionClass, cutFor: (coil: Coil) => number,
): readonly Offer<Coil>[] {
  return coils
    .map((coil) => ({ coil, fit: fitOf(coil, position, wanted) }))
    .filter(({ fit }) => fit.grade !== 'refused')
    .map(({ coil, fit }) => {
      const cut = cutFor(coil)
      return { coil, fit, leaves: coil.lengthLeft - cut, yields: Math.floor(coil.lengthLeft / cut) }
    })
    .sort((a, b) => Number(a.leaves < 0) - Number(b.leaves < 0)
      || GRADES.indexOf(a.fit.grade) - GRADES.indexOf(b.fit.grade)
      || Number(b.coil.opened) - Number(a.coil.opened)
      || a.leaves - b.leaves
      || a.coil.id - b.coil.id)
}
