/**
 * Which coils to offer for a cut: what is already open and long enough first, so that a fresh coil is opened last.
 */
import type { StringPosition, TensionClass } from '../instrument/instrument'
import { makeText } from '../chart/material-text'
import { itemAt } from '../list/item-at'
import { massPerLength } from '../strings/construction'
import { FIT_GRADES, fitOf, STAND_IN, type Fit } from './fits'
import type { StringEnd } from '../knots/string-ends'
import { specAt, specKey, type SoldSpec } from './string-spec'

export interface StoredCoil extends SoldSpec {
  readonly id: number
  /** m */
  readonly lengthLeft: number
  /** Whether a string has been cut from it before. */
  readonly opened: boolean
  /** What tells its string from others, where it is known already: see {@link specKey}. */
  readonly key?: string
}

export interface Offer<Coil extends StoredCoil> {
  readonly coil: Coil
  readonly fit: Fit
  /** What is left after the cut, m; negative by how much it is too short. */
  readonly leaves: number
  /** How many such cuts the coil holds. */
  readonly yields: number
}

/** What a cut goes by: a gauge has its knot, and wire without a loop has one to be twisted. */
export type StringCut = Pick<SoldSpec, 'construction' | 'end'>

/** How many strings of a length a coil holds; a packet with a ready-made end has that end once. */
export function cutsIn(coil: Pick<StoredCoil, 'lengthLeft' | 'end'>, cut: number, end: StringEnd): number {
  const cuts = Math.floor((coil.lengthLeft + 1e-9) / cut)
  return end !== 'plain' && coil.end === end ? Math.min(1, cuts) : cuts
}

/** Coils of one kind: alike in all that tells strings apart. */
export interface Alike<Coil extends StoredCoil> {
  readonly spec: SoldSpec
  readonly coils: readonly Coil[]
  /** Mass of its string, kg/m. */
  readonly mass: number
}

/** Coils sorted out by make, and within it by kind, the lightest first. */
export type SortedOut<Coil extends StoredCoil> = ReadonlyMap<string, readonly Alike<Coil>[]>

/** Sorts coils out, so that a string is held against each kind once and not against each coil. */
export function sortedOut<Coil extends StoredCoil>(coils: readonly Coil[]): SortedOut<Coil> {
  const byKey = new Map<string, Coil[]>()
  for (const coil of coils) {
    const key = coil.key ?? specKey(coil)
    const alike = byKey.get(key)
    if (alike) alike.push(coil)
    else byKey.set(key, [coil])
  }
  const byMake = new Map<string, Alike<Coil>[]>()
  for (const alike of byKey.values()) {
    const spec = itemAt(alike, 0)
    const make = makeText(spec.construction)
    const kind = { spec, coils: alike, mass: massPerLength(spec.construction) }
    byMake.set(make, [...(byMake.get(make) ?? []), kind])
  }
  for (const kinds of byMake.values()) kinds.sort((a, b) => a.mass - b.mass)
  return byMake
}

/**
 * Offers for one position, best first: long enough before too short, the charted string before a stand-in, an opened
 * remainder before a fresh coil, and of those the one that leaves least. Coils that don't fit are left out.
 *
 * @param coils - in the stores
 * @param position - where the string goes
 * @param wanted - the instrument's tension class; null where it does not count
 * @param cutFor - the length to cut of a given string, m; a different gauge takes a different knot
 */
export function offersFor<Coil extends StoredCoil>(
  coils: SortedOut<Coil>,
  position: StringPosition,
  wanted: TensionClass | null,
  cutFor: (string: StringCut) => number,
): readonly Offer<Coil>[] {
  return inOrder(fitting(coils, position, wanted), position, wanted, cutFor)
}

/** The best offer for a position, as {@link offersFor} has it first; of worse kinds nothing is worked out. */
export function bestOffer<Coil extends StoredCoil>(
  coils: SortedOut<Coil>,
  position: StringPosition,
  wanted: TensionClass | null,
  cutFor: (string: StringCut) => number,
): Offer<Coil> | null {
  const kinds = fitting(coils, position, wanted)
  for (const grade of FIT_GRADES) {
    const [best] = inOrder(
      kinds.filter(({ fit }) => fit.grade === grade),
      position,
      wanted,
      cutFor,
    )
    if (best && best.leaves >= 0) return best
  }
  return inOrder(kinds, position, wanted, cutFor)[0] ?? null
}

/** Kinds of coil that fit a position, with how well. */
export function fitting<Coil extends StoredCoil>(
  coils: SortedOut<Coil>,
  position: StringPosition,
  wanted: TensionClass | null,
) {
  const kinds = coils.get(makeText(position.construction)) ?? []
  const mass = massPerLength(position.construction)
  const fits: (Alike<Coil> & { readonly fit: Fit })[] = []
  for (let i = firstFrom(kinds, mass * (1 - WIDER)); i < kinds.length; i += 1) {
    const kind = itemAt(kinds, i)
    if (kind.mass > mass * (1 + WIDER)) break
    const fit = fitOf(kind.spec, position, wanted)
    if (fit.grade !== 'refused') fits.push({ ...kind, fit })
  }
  return fits
}

/** Tension goes with the mass: what differs by more than this can't stand in, a little for rounding added. */
const WIDER = STAND_IN + 0.01

/** Index of the first kind that is not lighter. */
function firstFrom(kinds: readonly { readonly mass: number }[], mass: number): number {
  let [low, high] = [0, kinds.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((kinds[middle] as { mass: number }).mass < mass) low = middle + 1
    else high = middle
  }
  return low
}

function inOrder<Coil extends StoredCoil>(
  kinds: readonly (Alike<Coil> & { readonly fit: Fit })[],
  position: StringPosition,
  wanted: TensionClass | null,
  cutFor: (string: StringCut) => number,
): readonly Offer<Coil>[] {
  const { end } = specAt(position, wanted)
  return kinds
    .flatMap(({ spec, coils: alike, fit }) => {
      const cut = cutFor(spec)
      return alike.map((coil) => ({
        coil,
        fit,
        leaves: coil.lengthLeft - cut,
        yields: cutsIn(coil, cut, end),
      }))
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
