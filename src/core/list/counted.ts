/**
 * A number with its noun: `1 string`, `2 strings`, `no strings`.
 *
 * @param many - of a noun that doesn’t take an s
 */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n === 0 ? 'no' : n.toLocaleString('en-GB')} ${n === 1 ? one : many}`
}
