/** Gauges our invented suppliers stock, in mm. */
import type { TuningPin } from '@/core/winding/pin'

/** Every gauge from one to another in equal steps, both ends included, m. */
export function row(from: number, to: number, step: number): number[] {
  const count = Math.round((to - from) / step)
  return Array.from({ length: count + 1 }, (_, i) => Math.round((from + i * step) * 1000) / 1e6)
}

export const GUT = [...row(0.6, 1.2, 0.02), ...row(1.24, 2, 0.04), ...row(2.08, 3.2, 0.08)]
export const NYLON = [...row(0.5, 0.9, 0.02), ...row(0.95, 1.6, 0.05)]
export const MUSIC_WIRE = row(0.2, 0.6, 0.02)
export const BRASS = [...row(0.3, 0.6, 0.02), ...row(0.65, 1, 0.05)]
export const BRONZE = [...row(0.3, 0.6, 0.02), ...row(0.65, 1.2, 0.05)]
export const SILK = row(0.7, 1.6, 0.05)
/** Wire for winding thin cores. */
export const FINE_WRAPS = row(0.06, 0.24, 0.01)
export const WRAPS = [...row(0.16, 0.4, 0.02), ...row(0.45, 1, 0.05)]

const mm = 1e-3

/** A tapered pin right through the neck of a harp. */
export const HARP_PIN: Omit<TuningPin, 'toBridge'> = {
  diameter: 7.2 * mm, gearRatio: 1, tightens: 'clockwise', threadPitch: null,
  height: 13 * mm, heightDatum: 'string hole', holeToEnd: 5 * mm, bridgeHeight: 9 * mm,
}

/** A plain pin of a small harp or a lyre. */
export const SMALL_PIN: Omit<TuningPin, 'toBridge'> = { ...HARP_PIN, diameter: 5 * mm, height: 11 * mm, holeToEnd: 4 * mm, bridgeHeight: 8 * mm }

/** A threaded zither pin. */
export const ZITHER_PIN: Omit<TuningPin, 'toBridge'> = {
  diameter: 5 * mm, gearRatio: 1, tightens: 'clockwise', threadPitch: 1.25 * mm,
  height: 20 * mm, heightDatum: 'top of pin', holeToEnd: 8 * mm, bridgeHeight: 10.5 * mm,
}
