/**
 * Thin strings: one rule of the house decides together whether a string gets an anchor, a third loop, and a lock on its pin.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { isTiedRoundItsAnchor, needsAnchor, tailFacts, type TailFastening } from '../knots/fastenings'
import { letterStep, note } from '../pitch/note'
import { coreMaterial, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import type { Habits } from './habits'

/** The D above middle C; a rest tuning's flat does not move it. */
const THIN_FROM = letterStep(note('D', 4))
const OCTAVE = 7

/** Whether a string is one of wire, at its core or under the fingers: it is never thin. */
export function isWire(c: Construction): boolean {
  return surfaceMaterial(c).wire || coreMaterial(c).wire
}

/** Whether the house's rule calls a string thin. */
export function isThin(
  instrument: Instrument,
  { note: n, tail }: StringPosition,
  construction: Construction,
  { thin, thinBelow }: Habits,
): boolean {
  if (isWire(construction)) return false
  switch (thin) {
    case 'from the D above middle C':
      return letterStep(n) >= THIN_FROM
    case 'all but the lowest gut':
      return construction.kind === 'plain' && letterStep(n) >= lowestGut(instrument) + OCTAVE
    case 'below a gauge':
      return outerGauge(construction) < thinBelow
    case 'by knot against eyelet': {
      const { hold } = tailFacts(tail.fastening)
      return (
        needsAnchor(tail.fastening, outerGauge(construction), tail.eyeletBore) ||
        hold === 'bead' ||
        hold === 'toggle'
      )
    }
  }
}

/** Place in the row of letters of the lowest gut string; below every note where there is none. */
function lowestGut({ positions }: Instrument): number {
  const gut = positions.filter((p) => coreMaterial(p.construction).name === 'gut')
  return gut.length === 0 ? -Infinity : Math.min(...gut.map((p) => letterStep(p.note)))
}

/** Why a string gets an anchor. */
export type AnchorReason = 'tied round it' | 'rule and knot' | 'rule' | 'knot'

/**
 * Whether a string gets an anchor, and why: the house's rule first, its knot against its eyelet as second opinion, and the
 * safer of the two. A wire's end is knotted and small, so that only its knot decides.
 *
 * @param charted - as the chart has it
 * @param fastening - that is tied on it
 * @returns null where it gets none
 */
export function anchorReason(
  instrument: Instrument,
  charted: StringPosition,
  fastening: TailFastening,
  construction: Construction,
  habits: Habits,
): AnchorReason | null {
  if (tailFacts(fastening).hold !== 'knot') return null
  if (isTiedRoundItsAnchor(fastening)) return 'tied round it'
  const byKnot = needsAnchor(fastening, outerGauge(construction), charted.tail.eyeletBore)
  const byRule = isThin(instrument, charted, construction, habits)
  if (byRule) return byKnot ? 'rule and knot' : 'rule'
  return byKnot ? 'knot' : null
}
