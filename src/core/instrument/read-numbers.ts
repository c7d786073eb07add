/**
 * Reads string numbers as people write several: `12, 14-17`.
 *
 * @param text - numbers and ranges, set apart by commas or spaces
 * @param most - the highest number there is
 * @param twice - what a number that is written twice is
 * @returns each number once, in the order written
 * @throws RangeError with a sentence that can be shown
 * @example parseNumbers('3, 5-7', 47) // [3, 5, 6, 7]
 */
export function parseNumbers(
  text: string,
  most: number,
  twice: 'is once' | 'is refused' = 'is once',
): readonly number[] {
  const words = text
    .trim()
    .replace(/\s*(?:-|–|to)\s*/g, '-')
    .split(/[\s,;]+/)
    .filter((word) => word !== '')
  if (words.length === 0) throw new RangeError('Expected string numbers, such as “12, 14-17”.')
  const numbers = words.flatMap((word) => {
    const found = /^(\d{1,3})(?:-(\d{1,3}))?$/.exec(word)
    if (!found) throw new RangeError(`Expected string numbers, such as “12, 14-17”, got “${word}”.`)
    const [from, to] = [Number(found[1]), Number(found[2] ?? found[1])]
    if (Math.min(from, to) < 1 || Math.max(from, to) > most)
      throw new RangeError(`Strings are numbered 1 to ${most}; “${word}” is not among them.`)
    return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => Math.min(from, to) + i)
  })
  const again = numbers.find((number, i) => numbers.indexOf(number) < i)
  if (twice === 'is refused' && again !== undefined)
    throw new RangeError(`String ${again} is in the set twice.`)
  return [...new Set(numbers)]
}
