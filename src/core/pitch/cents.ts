/**
 * How far a frequency lies above another one, cents; negative where it lies below.
 *
 * @param hz - Hz
 * @param from - Hz
 */
export function centsAbove(hz: number, from: number): number {
  return 1200 * Math.log2(hz / from)
}
