/**
 * Whether a coil can serve a string position, and how well.
 */
import type { StringPosition, TensionClass } from '../instrument/instrument'
import { materialWord, sameGauges, sameMake } from '../strings/construction'
import { tension } from '../strings/tension'
import type { StringEnd } from '../knots/string-ends'
import { specAt, twistable, type StringSpec } from './string-spec'

/** Best first. */
export const FIT_GRADES = ['exact', 'other end', 'other colour', 'next gauge', 'refused'] as const
export type FitGrade = (typeof FIT_GRADES)[number]

export interface Fit {
  readonly grade: FitGrade
  /** Change in tension against the charted string, as a share; 0 for the charted gauge. */
  readonly tensionChange: number
  /** One clear sentence where it is not exact. */
  readonly because: string | null
}

/** The largest change in tension at which a neighbouring gauge may stand in. */
export const STAND_IN = 0.12

/**
 * Judges a coil for a position: exact, right but for its end or its colour, a neighbouring gauge with what that does to
 * the tension, or refused with the reason.
 *
 * @param coil - what is in the stores
 * @param position - where it would go
 * @param wanted - the tension class of the instrument; null where strings go by gauge, length and end alone
 */
export function fitOf(coil: StringSpec, position: StringPosition, wanted: TensionClass | null): Fit {
  const charted = position.construction
  if (!sameMake(coil.construction, charted)) {
    return refused(`It is ${materialWord(coil.construction)}; the chart asks for ${materialWord(charted)}.`)
  }
  if (wanted !== null && coil.tensionClass !== wanted && coil.tensionClass !== 'not given')
    return refused(
      `It is made for ${coil.tensionClass ?? 'no stated'} tension; this instrument is strung to ${wanted} tension.`,
    )
  const change =
    tension(coil.construction, position.speakingLength, 1) / tension(charted, position.speakingLength, 1) - 1
  const end = specAt(position, wanted).end
  if (sameGauges(coil.construction, charted)) {
    if (coil.colour !== position.colour)
      return {
        grade: 'other colour',
        tensionChange: 0,
        because: `Right but for its colour: it is ${coil.colour}, the chart has ${position.colour}.`,
      }
    return coil.end === end
      ? { grade: 'exact', tensionChange: 0, because: unknownClass(coil, wanted) }
      : { grade: 'other end', tensionChange: 0, because: endSentence(coil, end) }
  }
  if (Math.abs(change) > STAND_IN) return refused('Its gauge is too far from the chart’s.')
  return {
    grade: 'next gauge',
    tensionChange: change,
    because: 'Not the charted gauge; the tension changes as shown.',
  }
}

function endSentence(coil: StringSpec, wanted: StringEnd): string {
  if (coil.end !== 'plain') return `It comes with a ${coil.end}. Cut that off first.`
  return wanted === 'loop' && twistable(coil)
    ? 'Its end is plain. Twist a loop at it first.'
    : `Its end is plain. It needs a ${wanted}.`
}

/** A packet that gives no class may be another one: gauge and material are right, and that is said. */
function unknownClass({ tensionClass }: StringSpec, wanted: TensionClass | null): string | null {
  return wanted !== null && tensionClass === 'not given'
    ? `Its packet gives no tension class. This instrument has ${wanted} tension.`
    : null
}

/** Right as it is, or once a loop is twisted at its end. */
export function isRight(grade: FitGrade, coil: Pick<StringSpec, 'construction' | 'end'>): boolean {
  return grade === 'exact' || (grade === 'other end' && twistable(coil))
}

function refused(because: string): Fit {
  return { grade: 'refused', tensionChange: 0, because }
}
