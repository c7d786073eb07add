/**
 * Whether a coil can serve a string position, and how well.
 */
import type { StringColour, StringPosition, TensionClass } from '../instrument/instrument'
import { coreDiameter, materialWord, outerGauge, sameMake, type Construction } from '../strings/construction'
import { tension } from '../strings/tension'

/** One length of string in the stores, as far as fitting goes. */
export interface CoilSpec {
  readonly construction: Construction
  readonly colour: StringColour
  readonly tensionClass: TensionClass
}

export type FitGrade = 'exact' | 'other colour' | 'next gauge' | 'refused'

export interface Fit {
  readonly grade: FitGrade
  /** Change in tension against the charted string, as a share; 0 for the charted gauge. */
  readonly tensionChange: number
  /** One clear sentence where it is not exact. */
  readonly because: string | null
}

/** Gauges within this of each other are the same, m: half of the finest step that is sold. */
const SAME_GAUGE = 5e-6
/** The largest change in tension at which a neighbouring gauge may stand in. */
export const STAND_IN = 0.12

/**
 * Judges a coil for a position: exact, right but for its colour, a neighbouring gauge with what that does to the
 * tension, or refused with the reason.
 *
 * @param coil - what is on the shelf
 * @param position - where it would go
 * @param wanted - the instrument's tension class
 */
export function fitOf(coil: CoilSpec, position: StringPosition, wanted: TensionClass): Fit {
  const charted = position.construction
  if (!sameMake(coil.construction, charted)) {
    return refused(`It is ${materialWord(coil.construction)}; the chart asks for ${materialWord(charted)}.`)
  }
  const sameClass = coil.tensionClass === wanted
  if (!sameClass) return refused(`It is made for ${coil.tensionClass} tension; this instrument is strung to ${wanted} tension.`)
  const change = tension(coil.construction, position.speakingLength, 1) / tension(charted, position.speakingLength, 1) - 1
  if (sameGauges(coil.construction, charted)) {
    return coil.colour === position.colour
      ? { grade: 'exact', tensionChange: 0, because: null }
      : { grade: 'other colour', tensionChange: 0, because: `Right but for its colour: it is ${coil.colour}, the chart has ${position.colour}.` }
  }
  if (Math.abs(change) > STAND_IN) return refused('Its gauge is too far from the chart’s.')
  return { grade: 'next gauge', tensionChange: change, because: 'Not the charted gauge; the tension changes as shown.' }
}

function sameGauges(a: Construction, b: Construction): boolean {
  return Math.abs(outerGauge(a) - outerGauge(b)) < SAME_GAUGE && Math.abs(coreDiameter(a) - coreDiameter(b)) < SAME_GAUGE
}

function refused(because: string): Fit {
  return { grade: 'refused', tensionChange: 0, because }
}
