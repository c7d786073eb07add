/** A number as people type it: a comma will do for the point, and a true minus for the hyphen; null where it is none. */
export function typedNumber(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  return plain === '' || !Number.isFinite(Number(plain)) ? null : Number(plain)
}
