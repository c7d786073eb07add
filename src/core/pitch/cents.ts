/**
 * How far a frequency lies above another one, cents; negative where it lies below.
 *
 * @param hz - Hz
 * @param from - Hz
 */
export function centsAbove(hz: number, from: number): number {
  return 1200 * Math.log2(hz / from)
}

/** A figure with its sign, a true minus, and none at zero: `+12.5`, `−3`, `0`. */
export function signed(figure: number): string {
  return `${figure > 0 ? '+' : ''}${figure}`.replace('-', '−')
}
