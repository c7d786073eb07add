/**
 * What to measure, in the words of whoever holds the rule: what it is, and from where to where.
 */
import { withThe } from '@/core/instrument/with-the'
import type { QuantityKey } from '@/core/measuring/quantity'

export interface MeasureWords {
  readonly what: string
  readonly how: string
}

/**
 * @param nameOf - a string's name by its number
 * @param middle - the number of the string in the middle of those that it concerns
 */
export function measureWords(
  key: QuantityKey,
  nameOf: (number: number) => string,
  middle: number,
): MeasureWords {
  const [kind, number] = key.split(' ') as [string, string | undefined]
  switch (kind) {
    case 'speaking':
      return {
        what: `Speaking length of ${withThe(nameOf(Number(number)))}`,
        how: 'From the soundboard, or the bridge, to the bridge pin or nut, every lever out of the way.',
      }
    case 'gauge':
      return {
        what: `Gauge of ${withThe(nameOf(middle))}`,
        how: 'With a calliper, in the middle of its section; the others of the section follow it. Of a wound string its wrap alone.',
      }
    case 'beyond':
      return {
        what: `Beyond the speaking length, on ${withThe(nameOf(middle))}`,
        how: 'What else is under tension: from the end knot to the soundboard, and from the bridge pin to the tuning pin.',
      }
    case 'pin':
      return { what: 'Diameter of a tuning pin', how: 'With a calliper, where the string winds.' }
    default:
      return {
        what: 'Thickness of the soundboard',
        how: 'Where the strings go through, its strips and the bush with it.',
      }
  }
}
