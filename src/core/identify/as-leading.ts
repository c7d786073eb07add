/**
 * A value as it is compared when a list is put in order: what differs in the last bits only is alike, so that the order does not
 * hang on how a machine rounds.
 *
 * @param value - a chance, or bits; around 1
 */
export function asLeading(value: number): number {
  return Math.round(value * 1e9)
}
