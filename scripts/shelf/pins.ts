/** Tuning pins of the shelf's instruments. */
import type { TuningPin } from '@/core/winding/pin'

const mm = 1e-3

/** A tapered pin right through the neck of a harp. */
export const HARP_PIN: Omit<TuningPin, 'toBridge'> = {
  setting: 'through the neck',
  turnedBy: 'key',
  diameter: 7.2 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: null,
  height: 13 * mm,
  heightDatum: 'string hole',
  holeToEnd: 5 * mm,
  bridgeHeight: 9 * mm,
}

/** A plain pin of a small harp or a lyre. */
export const SMALL_PIN: Omit<TuningPin, 'toBridge'> = {
  ...HARP_PIN,
  diameter: 5 * mm,
  height: 11 * mm,
  holeToEnd: 4 * mm,
  bridgeHeight: 8 * mm,
}

/** A threaded zither pin. */
export const ZITHER_PIN: Omit<TuningPin, 'toBridge'> = {
  setting: 'upright',
  turnedBy: 'key',
  diameter: 5 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: 1.25 * mm,
  height: 20 * mm,
  heightDatum: 'top of pin',
  holeToEnd: 8 * mm,
  bridgeHeight: 10.5 * mm,
}
