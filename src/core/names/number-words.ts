/**
 * Numbers as words: `twelve`, `twenty-five`, `third`, `12th`.
 */
const ONES = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
]
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty']
const ODD_ORDINALS: Readonly<Record<string, string>> = {
  one: 'first',
  two: 'second',
  three: 'third',
  five: 'fifth',
  eight: 'eighth',
  nine: 'ninth',
  twelve: 'twelfth',
}

const ordinalOf = (word: string) =>
  ODD_ORDINALS[word] ?? (word.endsWith('y') ? `${word.slice(0, -1)}ieth` : `${word}th`)

const CARDINALS = new Map<string, number>()
const ORDINALS = new Map<string, number>()
ONES.forEach((word, n) => {
  CARDINALS.set(word, n)
  ORDINALS.set(ordinalOf(word), n)
})
TENS.forEach((word, tens) => {
  if (word) {
    CARDINALS.set(word, tens * 10)
    ORDINALS.set(ordinalOf(word), tens * 10)
  }
})

export interface SpokenNumber {
  readonly value: number
  readonly ordinal: boolean
  /** How many of the words it took. */
  readonly words: 1 | 2
}

/**
 * The number that one or two words say; null when they say none.
 *
 * @example spokenNumber('twenty', 'fifth') // { value: 25, ordinal: true, words: 2 }
 */
export function spokenNumber(word: string, next = ''): SpokenNumber | null {
  const digits = /^(\d{1,3})(st|nd|rd|th|\.)?$/.exec(word)
  if (digits) return { value: Number(digits[1]), ordinal: digits[2] !== undefined, words: 1 }
  const cardinal = CARDINALS.get(word)
  if (cardinal !== undefined) {
    const more = cardinal >= 20 ? unitOf(next) : null
    return more
      ? { value: cardinal + more.value, ordinal: more.ordinal, words: 2 }
      : { value: cardinal, ordinal: false, words: 1 }
  }
  const ordinal = ORDINALS.get(word)
  return ordinal === undefined ? null : { value: ordinal, ordinal: true, words: 1 }
}

function unitOf(word: string): { readonly value: number; readonly ordinal: boolean } | null {
  const [cardinal, ordinal] = [CARDINALS.get(word), ORDINALS.get(word)]
  if (cardinal !== undefined && cardinal > 0 && cardinal < 10) return { value: cardinal, ordinal: false }
  return ordinal !== undefined && ordinal > 0 && ordinal < 10 ? { value: ordinal, ordinal: true } : null
}
