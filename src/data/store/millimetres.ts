/** Metres as millimetres for the tables and the open files, free of binary dust below a nanometre. */
export function inMm(metres: number): number {
  return Math.round(metres * 1e9) / 1e6
}

/** Lengths are kept to a nanometre; less than this is no difference, m. */
export const DUST = 1e-6

/** Millimetres as metres, to the nanometre that they are kept to: the same number that the decimal itself reads as. */
export function metres(mm: number): number {
  return Math.round(mm * 1e6) / 1e9
}
