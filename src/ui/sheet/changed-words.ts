/**
 * How much was typed, as the button that keeps it says.
 *
 * @example changedWords(3, 'one string', 'strings') // '3 strings'
 */
export function changedWords(count: number, one: string, many: string): string | null {
  return count === 0 ? null : count === 1 ? one : `${count} ${many}`
}
