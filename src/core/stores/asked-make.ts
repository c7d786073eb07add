/**
 * A coil's make and line against those that the chart asks for: told, never refused.
 */
/**
 * @param coil - maker and line, each perhaps empty
 * @param asked - as the chart writes it; null where it asks for none
 * @returns a sentence where they differ, else null
 */
export function otherMake(
  { maker, line }: { readonly maker: string; readonly line: string },
  asked: string | null,
): string | null {
  const has = `${maker} ${line}`.trim()
  if (asked === null || has === '' || has.toLowerCase() === asked.trim().toLowerCase()) return null
  return `The chart asks for ${asked.trim()}; this is ${has}.`
}
