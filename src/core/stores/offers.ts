/**
 * Which coils to offer for a cut: what is already open and long enough first, so that a fresh coil is opened last.
 */
import type { StringPosition, TensionClass } from '../instrument/instrument'
import { FIT_GRADES, fitOf, type Fit } from './fits'
import { specAt, type SoldSpec, type StringEnd } from './string-spec'

export interface ShelfCoil extends SoldSpec {
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

/** How many strings of a length a coil holds; a packet with a ready-made end has that end once. */
export function cutsIn(coil: Pick<ShelfCoil, 'lengthLeft' | 'end'>, cut: number, end: StringEnd): number {
  const cuts = Math.floor((coil.lengthLeft + 1e-9) / cut)
  return end !== 'plain' && coil.end === end ? Math.min(1, cuts) : cuts
}

/**
 * Offers for one position, best first: long enough before too short, the charted string before a stand-in, an opened
 * remainder before a fresh coil, and of those the one that leaves least. Coils that don't fit are left out.
 *
 * @param coils - the shelf
 * @param position - where the string goes
 * @param wanted - the instrument's tension class; null where it does not count
 * @param cutFor - the length to cut from a given coil, m; a different gauge takes a different knot
 */
export function offersFor<Coil extends ShelfCoil>(
  coils: readonly Coil[],
  position: StringPosition,
  wanted: TensionClass | null,
  cutFor: (coil: Coil) => number,
): readonly Offer<Coil>[] {
  return coils
    .map((coil) => ({ coil, fit: fitOf(coil, position, wanted) }))
    .filter(({ fit }) => fit.grade !== 'refused')
    .map(({ coil, fit }) => {
      const cut = cutFor(coil)
      return {
        coil,
        fit,
        leaves: coil.lengthLeft - cut,
        yields: cutsIn(coil, cut, specAt(position, wanted).end),
      }
    })
    .sort(
      (a, b) =>
        Number(a.leaves < 0) - Number(b.leaves < 0) ||
        FIT_GRADES.indexOf(a.fit.grade) - FIT_GRADES.indexOf(b.fit.grade) ||
        Number(b.coil.opened) - Number(a.coil.opened) ||
        a.leaves - b.leaves ||
        a.coil.id - b.coil.id,
    )
}
