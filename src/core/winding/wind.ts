/**
 * A string while it is being wound: what has gone round the pin, what is still slack, and how the pitch rises with the key.
 */
import { expectNotNegative } from '../expect'
import { centsAbove } from '../pitch/cents'
import { coreArea, coreMaterial, outerGauge, surfaceMaterial } from '../strings/construction'
import { stressAt, stretchToBreaking, stretchToPitch, type Span } from '../strings/stretch'
import { pitchAt, workingStrength } from '../strings/tension'
import { lengthOnPin, turnsToDraw, wrapsFromLength, type WrapLay } from './lay'
import { bankOfWraps, pullLeftAtHole, type Bank, type TuningPin } from './pin'

export interface Wound {
  /** Turns of the pin so far, and as many wraps on it. */
  readonly wraps: number
  /** Still loose, m; zero once the string is snug. */
  readonly slackLeft: number
  /** Beyond snug, m. */
  readonly stretch: number
  /** Pa in the part that carries the tension. */
  readonly stress: number
  /** N */
  readonly tension: number
  /** Hz; null while it is slack. */
  readonly pitch: number | null
  /** Cents from the pitch it is to reach; null while it is slack. */
  readonly cents: number | null
  /** Share of its strength. */
  readonly utilisation: number
  /** Past what it bears: it would have broken on the way. */
  readonly broken: boolean
  readonly bank: Bank
  /** Pull that is left at the hole, N. */
  readonly pullAtHole: number
}

/**
 * The string after some turning of the key.
 *
 * @param span - lengths and pitch to reach
 * @param pin - the tuning pin
 * @param slack - left before winding began, m
 * @param key - degrees that the key was turned in all; a gear is reckoned in
 * @param lay - how the wraps lie
 */
export function woundBy(
  span: Span,
  pin: TuningPin,
  slack: number,
  key: number,
  lay: WrapLay = 'toward the wood',
): Wound {
  const { construction } = span
  const core = coreMaterial(construction)
  const gauge = outerGauge(construction)
  const wraps = expectNotNegative('key', key) / (360 * pin.gearRatio)
  const planned = wrapsFromLength(slack + stretchToPitch(span), pin.diameter, gauge, lay)
  const drawn = lengthOnPin(wraps, pin.diameter, gauge, lay, planned)
  const stretch = Math.max(0, drawn - expectNotNegative('slack', slack))
  const sigma = stressAt(stretch / span.freeLength, core.modulus, core.stiffening)
  const force = sigma * coreArea(construction)
  const pitch = stretch > 0 ? pitchAt(construction, span.speakingLength, sigma) : null
  const utilisation = sigma / workingStrength(construction)
  return {
    wraps,
    stretch,
    stress: sigma,
    tension: force,
    pitch,
    utilisation,
    slackLeft: Math.max(0, slack - drawn),
    cents: pitch === null ? null : centsAbove(pitch, span.pitch),
    broken: utilisation > 1,
    bank: bankOfWraps(pin, gauge, wraps, lay),
    pullAtHole: force * pullLeftAtHole(surfaceMaterial(construction).friction, wraps),
  }
}

export interface KeyWay {
  /** Degrees of the key from the first turn until the string is snug, at pitch, and breaking. */
  readonly snug: number
  readonly pitch: number
  readonly breaking: number
}

/** How far the key goes in all, from a slack. */
export function keyWay(span: Span, pin: TuningPin, slack: number, lay: WrapLay = 'toward the wood'): KeyWay {
  const gauge = outerGauge(span.construction)
  const stretch = stretchToPitch(span)
  const planned = wrapsFromLength(slack + stretch, pin.diameter, gauge, lay)
  const degrees = (length: number) =>
    turnsToDraw(length, pin.diameter, gauge, lay, planned) * 360 * pin.gearRatio
  return {
    snug: degrees(slack),
    pitch: degrees(slack + stretch),
    breaking: degrees(slack + stretch + Math.max(0, stretchToBreaking(span))),
  }
}
