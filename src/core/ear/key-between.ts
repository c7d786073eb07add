/**
 * How far the key must turn from one pitch to another, and what a string does when it is turned.
 */
import type { StringPosition } from '../instrument/instrument'
import { coreMaterial, outerGauge } from '../strings/construction'
import { stressAt, stretchToPitch } from '../strings/stretch'
import { pitchAt, workingStrength } from '../strings/tension'
import { drawnPerTurn, turnsToTakeUp } from '../winding/pin'

/** A position's string on its pin. */
export type StringOnPin = Pick<StringPosition, 'construction' | 'speakingLength' | 'freeLength' | 'head'>

/** Key angle from slack to a pitch, degrees. */
export function keyTo(string: StringOnPin, hz: number): number {
  const { construction, head } = string
  const stretch = stretchToPitch({ ...string, pitch: hz })
  return turnsToTakeUp(stretch, head.pin.diameter, outerGauge(construction)) * 360 * head.pin.gearRatio
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
  const { construction, speakingLength, freeLength, head } = string
  const { modulus, stiffening } = coreMaterial(construction)
  const turns = degrees / (360 * head.pin.gearRatio)
  const stretch = turns * drawnPerTurn(head.pin.diameter, outerGauge(construction))
  if (stretch <= 0) return 0
  const sigma = stressAt(stretch / freeLength, modulus * stiffness, stiffening)
  return sigma > workingStrength(construction) ? null : pitchAt(construction, speakingLength, sigma)
}
