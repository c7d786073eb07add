/**
 * The tuning pin: what a turn draws, how the bank of wraps lies, where the string leaves it.
 */
import { expectNotNegative, expectPositive } from '../expect'
import { layWraps, type LaidWraps, type WrapLay } from './lay'

export type Turning = 'clockwise' | 'anticlockwise'

/** How a pin sits: it decides which way its hole is turned, where it is seen from, and which way wraps run. */
export const PIN_SETTINGS = ['through the neck', 'upright', 'across a scroll'] as const
export type PinSetting = (typeof PIN_SETTINGS)[number]

/** What turns it: a tuning key, a knob or a lever of its own, or the hand on a peg. */
export const TURNED_BY = ['key', 'knob', 'lever', 'hand'] as const
export type TurnedBy = (typeof TURNED_BY)[number]

export interface TuningPin {
  readonly setting: PinSetting
  readonly turnedBy: TurnedBy
  /** Where the string winds, m. */
  readonly diameter: number
  /** Turns of the key for one turn of the pin; 1 for a plain pin. */
  readonly gearRatio: number
  /** Which way tightens, seen from the end the key goes on. */
  readonly tightens: Turning
  /** Pitch of the thread in the wood, m per turn; null for a plain tapered pin. */
  readonly threadPitch: number | null
  /** Height above the wood in playing state, m, with where it is measured to. */
  readonly height: number
  readonly heightDatum: 'top of pin' | 'string hole'
  /** From the string hole to the end of the pin, m. */
  readonly holeToEnd: number
  /** Height above the wood of the groove of the bridge pin or nut that the string runs to, m. */
  readonly bridgeHeight: number
  /** From the tuning pin to that groove, m. */
  readonly toBridge: number
}

/** String drawn in by one turn of the pin, π (D + d), m. */
export function drawnPerTurn(pin: number, gauge: number): number {
  return Math.PI * (expectPositive('pin diameter', pin) + expectPositive('gauge', gauge))
}

/**
 * Turns of the tuning pin that take up an elongation; from a snug string to its pitch when given that stretch.
 *
 * @param stretch - elongation, m
 * @param pin - diameter of the tuning pin where the string winds, m
 * @param gauge - outer diameter of the string, m
 * @returns turns of the pin, 1 = 360°
 * @throws RangeError when a length is not positive and finite
 * @example turnsToTakeUp(0.011609, 0.0072, 0.0011) // 0.4452
 */
export function turnsToTakeUp(stretch: number, pin: number, gauge: number): number {
  return expectNotNegative('stretch', stretch) / drawnPerTurn(pin, gauge)
}

/** Height of the pin’s top above the wood in playing state, m. */
export const topHeight = (pin: TuningPin): number => holeHeight(pin) + pin.holeToEnd

/** Height of the string hole above the wood, m, whatever the height was measured to. */
export function holeHeight(pin: TuningPin): number {
  return pin.heightDatum === 'string hole' ? pin.height : pin.height - pin.holeToEnd
}

/** Room for wraps between the string hole and the wood, m; half the string lies in the hole itself. */
export function bankRoom(pin: TuningPin, gauge: number): number {
  return holeHeight(pin) - gauge / 2
}

export interface Bank {
  /** Every turn with its place along the pin. */
  readonly laid: LaidWraps
  /** Width of the bank, N · d where the wraps lie side by side, m. */
  readonly width: number
  readonly fits: boolean
  /** Height above the wood at which the string leaves, m. */
  readonly exitHeight: number
  /** Angle between the string and square to the pin, degrees; positive when it leaves higher than the bridge pin. */
  readonly sideAngle: number
  /** The number of wraps that brings the string nearest to straight, at least one. */
  readonly straightestWraps: number
}

/**
 * How a number of wraps lies on a pin.
 *
 * @param pin - the tuning pin
 * @param gauge - outer diameter of the string, m
 * @param wraps - full turns round the pin
 * @param lay - which way they run from the hole
 */
export function bankOfWraps(
  pin: TuningPin,
  gauge: number,
  wraps: number,
  lay: WrapLay = 'toward the wood',
): Bank {
  const laid = layWraps(wraps, gauge, lay)
  const exitHeight = holeHeight(pin) - laid.exit
  return {
    laid,
    exitHeight,
    width: laid.inward + laid.outward,
    fits: laid.inward <= bankRoom(pin, gauge) && laid.outward <= pin.holeToEnd - gauge / 2,
    sideAngle: (Math.atan2(exitHeight - pin.bridgeHeight, pin.toBridge) * 180) / Math.PI,
    straightestWraps: straightestWraps(pin, gauge, lay),
  }
}

/** More wraps than these are never laid to bring a string into line. */
const MOST_WRAPS = 12

/**
 * The whole number of wraps, at least one, that brings the string nearest to straight toward its bridge pin.
 *
 * @param pin - the tuning pin
 * @param gauge - outer diameter of the string, m
 * @param lay - which way the wraps run from the hole
 */
export function straightestWraps(pin: TuningPin, gauge: number, lay: WrapLay): number {
  const wanted = holeHeight(pin) - pin.bridgeHeight
  if (lay === 'toward the wood') return Math.max(1, Math.round(wanted / gauge))
  const off = (wraps: number) => Math.abs(layWraps(wraps, gauge, lay).exit - wanted)
  return Array.from({ length: MOST_WRAPS }, (_, i) => i + 1).reduce((best, wraps) =>
    off(wraps) < off(best) ? wraps : best,
  )
}

/**
 * How much higher than in playing state a threaded pin must stand before winding begins, m.
 *
 * @param threadPitch - m per turn
 * @param turns - turns of the pin that slack and stretch will take
 */
export function standHigher(threadPitch: number, turns: number): number {
  return expectPositive('thread pitch', threadPitch) * expectNotNegative('turns', turns)
}

/**
 * Share of the tension that is left to pull at the hole after wraps have held the rest, e^(−μ 2π N).
 *
 * @param friction - of the string on the pin
 * @param wraps - turns round the pin, fractions allowed
 */
export function pullLeftAtHole(friction: number, wraps: number): number {
  return Math.exp(-expectNotNegative('friction', friction) * 2 * Math.PI * expectNotNegative('wraps', wraps))
}
