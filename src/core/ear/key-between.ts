/**
 * How far the key must turn from one pitch to another, and what a string does when it is turned.
 */
import { coreMaterial, massPerLength, coreArea, type Construction } from '../strings/construction'
import { strainAt, stressAt } from '../strings/stretch'
import { stress, workingStrength } from '../strings/tension'

/** A string on its pin: what a turn of the key does to it. */
export interface StringOnPin {
  readonly construction: Construction
  /** m */
  readonly speakingLength: number
  readonly freeLength: number
  /** Where the string winds, m: the pin and one gauge. */
  readonly across: number
  /** Turns of the key for one of the pin. */
  readonly gearRatio: number
}

/** Degrees of the key that draw a metre. */
const degreesPerMetre = ({ across, gearRatio }: StringOnPin) => (360 * gearRatio) / (Math.PI * across)

/** Key angle from slack to a pitch, degrees. */
export function keyTo(string: StringOnPin, hz: number): number {
  const { modulus, stiffening } = coreMaterial(string.construction)
  const strain = strainAt(stress(string.construction, string.speakingLength, hz), modulus, stiffening)
  return string.freeLength * strain * degreesPerMetre(string)
}

/** Key angle from one pitch to another, degrees; negative where it must be let down. */
export function keyBetween(string: StringOnPin, from: number, to: number): number {
  return keyTo(string, to) - keyTo(string, from)
}

/**
 * The pitch of a string that was turned so far from slack, Hz; zero where it is slack, null where it broke.
 *
 * @param degrees - of the key, from slack
 * @param stiffness - how much stiffer it is than its material is taken to be
 */
export function pitchTurned(string: StringOnPin, degrees: number, stiffness = 1): number | null {
  const { modulus, stiffening } = coreMaterial(string.construction)
  const strain = degrees / degreesPerMetre(string) / string.freeLength
  if (strain <= 0) return 0
  const sigma = stressAt(strain, modulus * stiffness, stiffening)
  if (sigma > workingStrength(string.construction)) return null
  const force = sigma * coreArea(string.construction)
  return Math.sqrt(force / massPerLength(string.construction)) / (2 * string.speakingLength)
}
