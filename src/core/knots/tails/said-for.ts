/**
 * The words of a stage for whoever looks from inside the box, or ties with the left hand.
 */

export interface Onlooker {
  readonly inside: boolean
  readonly hand: 'right' | 'left'
}

/** In front without an `of` stands alone; behind takes its noun at once. */
const NOUN = '(?= (?:the|both|its|itself|them|what)\\b)'
const WORDS = new RegExp(
  `\\b(left|right|Left|Right|in front of|in front|behind${NOUN}|behind|toward you|away from you)\\b`,
  'g',
)

const ACROSS: Readonly<Record<string, string>> = {
  left: 'right',
  right: 'left',
  Left: 'Right',
  Right: 'Left',
}
const DEEP: Readonly<Record<string, string>> = {
  'in front of': 'behind',
  'in front': 'behind',
  'toward you': 'away from you',
  'away from you': 'toward you',
}

/** A sentence written for the right hand, seen from outside, as it is for someone else. From inside, right and left and front and back are exchanged; the left hand's is the mirror image. */
export function saidFor(says: string, { inside, hand }: Onlooker): string {
  const mirrored = inside !== (hand === 'left')
  return says.replace(WORDS, (word, _, at: number) => {
    const across = ACROSS[word]
    if (across) return mirrored ? across : word
    if (!inside) return word
    return DEEP[word] ?? (new RegExp(`^behind${NOUN}`).test(says.slice(at)) ? 'in front of' : 'in front')
  })
}
