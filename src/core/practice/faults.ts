/**
 * *What went wrong?*: ways in which a string is put on badly, each on strings where it can happen.
 */
import { withWorkshopKnot } from '../fitting/workshop-knot'
import { windsOnPin } from '../fitting/head-way'
import { isInBox, tailFacts } from '../knots/fastenings'
import type { StringPosition } from '../instrument/instrument'
import type { Own } from './drill'
import type { Choice } from './choice'
import { shuffled } from './shuffled'

export const FAULTS = [
  'nothing',
  'wraps crossed',
  'too few wraps',
  'wound toward the end',
  'beside its bridge pin',
  'outside its lever or disc',
  'tag touches',
  'knot pulled through',
  'loop not seated',
] as const
export type Fault = (typeof FAULTS)[number]

interface FaultFacts {
  readonly word: string
  /** How it is seen or heard, and what to do, a sentence or two. */
  readonly teaches: string
  /** What part of the string shows it; others are no answer to the same picture. */
  readonly at: 'pin' | 'board' | 'hitch'
}

const FACTS: Record<Fault, FaultFacts> = {
  nothing: {
    word: 'Nothing: it is put on well',
    teaches:
      'Its wraps lie side by side toward the wood, as many as are wanted, and it goes where its neighbours go.',
    at: 'pin',
  },
  'wraps crossed': {
    word: 'Its wraps cross each other',
    teaches: `Crossed wraps pinch the string and slip one over the other: it can break there. Lay the wraps side by side this time.`,
    at: 'pin',
  },
  'too few wraps': {
    word: 'It has too few wraps',
    teaches: `Less than two wraps leave much of the pull at the hole, and it slips. Leave the slack shown here.`,
    at: 'pin',
  },
  'wound toward the end': {
    word: 'It is wound toward the end of the pin',
    teaches:
      'It leaves the pin further out than its bridge pin, and pulls sideways. Let it down and wind it toward the wood.',
    at: 'pin',
  },
  'beside its bridge pin': {
    word: 'It runs beside its bridge pin',
    teaches:
      'It is too long there and can’t be tuned true. Let it down, and lay it into the groove on the side where its neighbours go, before it gets tight.',
    at: 'pin',
  },
  'outside its lever or disc': {
    word: 'It runs outside its lever or disc',
    teaches:
      'The mechanism can’t take hold of it. Let it down and lead it through, as its neighbours go, before it gets tight.',
    at: 'pin',
  },
  'tag touches': {
    word: 'Its tag touches the board',
    teaches: 'A tag that touches buzzes. Trim it, or bend it clear, and look inside again.',
    at: 'board',
  },
  'knot pulled through': {
    word: 'Its knot is pulled into the eyelet',
    teaches: `It has no anchor, or one too small. Let it down at once. Use an anchor wider than its hole.`,
    at: 'board',
  },
  'loop not seated': {
    word: 'Its loop sits high on its hitch pin',
    teaches:
      'A loop that is not down at the wood jumps off while it is tuned. Let it down and press it home.',
    at: 'hitch',
  },
}

export const faultFacts = (fault: Fault): FaultFacts => FACTS[fault]

/** The least wraps that hold. */
const HOLDS = 2

/** What can go wrong with a string at this position, as the house puts it on; `nothing` among it. */
export function faultsFor({ habits }: Own, charted: StringPosition): readonly Fault[] {
  const position = withWorkshopKnot(charted, habits)
  const { hold } = tailFacts(position.tail.fastening)
  const winds = windsOnPin(position)
  const across = position.head.pin.setting === 'through the neck'
  return FAULTS.filter((fault) => {
    switch (fault) {
      case 'nothing':
        return winds
      case 'wraps crossed':
        // Where the house crosses them itself that is no fault.
        return winds && habits.windToward === 'the wood' && position.head.fastening !== 'second wrap crossed'
      case 'too few wraps':
        return winds && habits.wraps >= HOLDS
      case 'wound toward the end':
        return winds && habits.windToward === 'the wood'
      case 'beside its bridge pin':
        return winds && across
      case 'outside its lever or disc':
        return position.mechanism !== null && across
      case 'tag touches':
        return isInBox(position) && hold === 'knot'
      case 'knot pulled through':
        return isInBox(position) && hold === 'knot'
      case 'loop not seated':
        return hold === 'loop'
    }
  })
}

const MOST_WRONG = 3

/** The fault among others that the same string could have. */
export function faultChoices(
  fault: Fault,
  possible: readonly Fault[],
  random: () => number,
): readonly Choice[] {
  const choice = (one: Fault): Choice => ({
    words: FACTS[one].word,
    mistake: one === fault ? null : `taken for “${FACTS[one].word}”`,
    teaches: FACTS[fault].teaches,
    brings: null,
  })
  const others = shuffled(
    possible.filter((one) => one !== fault),
    random,
  ).slice(0, MOST_WRONG)
  return shuffled([fault, ...others].map(choice), random)
}
