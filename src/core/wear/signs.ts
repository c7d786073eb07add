/** What is to be seen, felt or heard of a string that wears, and what it says. */
import { coreMaterial } from '../strings/construction'
import type { StringPosition } from '../instrument/instrument'
import { CONDITIONS, type Condition } from './life'

export const SIGNS = [
  'varnish worn',
  'fraying',
  'dents',
  'discoloured',
  'false tone',
  'lever marks',
  'rust',
  'wrap loose',
  'steep at the board',
] as const
export type Sign = (typeof SIGNS)[number]

export interface SignFacts {
  readonly word: string
  readonly looks: string
  readonly means: string
  /** The least that a string with it is in. */
  readonly condition: Condition
}

const FACTS: Record<Sign, SignFacts> = {
  'varnish worn': {
    word: 'Varnish worn',
    looks: 'Dull and rough where it is plucked; elsewhere it still shines.',
    means: 'Gut takes up damp there, goes flat sooner and frays next.',
    condition: 'worn',
  },
  fraying: {
    word: 'Fraying',
    looks: 'Hairs stand off it. Run a fingertip along: it catches.',
    means: 'Single fibres have broken. Change it before it is needed.',
    condition: 'fraying',
  },
  dents: {
    word: 'Dents or flats',
    looks: 'A nick or a flat place that light shows as you turn your head.',
    means: 'It is thinner there, and will break there.',
    condition: 'worn',
  },
  discoloured: {
    word: 'Discoloured',
    looks: 'Yellowed, or dark where fingers touch it.',
    means: 'It is old. By itself that is all it says.',
    condition: 'worn',
  },
  'false tone': {
    word: 'False tone',
    looks: 'It beats or wavers by itself, with its neighbours damped.',
    means: 'It is no longer of one thickness: it can’t be tuned true.',
    condition: 'worn',
  },
  'lever marks': {
    word: 'Marks of a lever or disc',
    looks: 'A bright notch just below the lever or disc.',
    means: 'The mechanism bites. Have its regulation looked at.',
    condition: 'worn',
  },
  rust: {
    word: 'Rust or green',
    looks: 'Brown specks on steel, green on brass and bronze; it feels rough.',
    means: 'It is pitted. A pit is where a wire breaks.',
    condition: 'worn',
  },
  'wrap loose': {
    word: 'Wrap loose',
    looks: 'The winding slides, gapes or buzzes.',
    means: 'It will not sound well again, and its core lies bare.',
    condition: 'fraying',
  },
  'steep at the board': {
    word: 'Steep at the board',
    looks: 'It is bent hard over the edge of its eyelet, or has pressed a groove there.',
    means:
      'It will break at the board, and so will the next. The eyelet and the board’s rise are for the maker or a repairer.',
    condition: 'sound',
  },
}

export const signFacts = (sign: Sign): SignFacts => FACTS[sign]

/** What can be seen of a string at this position. */
export function signsFor({ construction, mechanism, tail }: StringPosition): readonly Sign[] {
  const { name, wire } = coreMaterial(construction)
  const wound = construction.kind === 'wound'
  return SIGNS.filter((sign) => {
    switch (sign) {
      case 'varnish worn':
        return name === 'gut' && !wound
      case 'fraying':
        return !wire && !wound
      case 'rust':
        return wire || wound
      case 'wrap loose':
        return wound
      case 'lever marks':
        return mechanism !== null
      case 'steep at the board':
        return tail.boardThickness > 0
      case 'dents':
      case 'discoloured':
      case 'false tone':
        return true
    }
  })
}

const CONDITION_WORDS: Record<Condition, string> = {
  fresh: 'as new',
  sound: 'sound',
  worn: 'worn',
  fraying: 'failing',
}

/** A condition as a harpist says it. */
export const conditionWord = (condition: Condition): string => CONDITION_WORDS[condition]

/** How a string looked, in a few words: `worn, dents or flats`. */
export const lookWords = ({
  condition,
  signs,
}: {
  readonly condition: Condition
  readonly signs: readonly Sign[]
}): string => [conditionWord(condition), ...signs.map((sign) => FACTS[sign].word.toLowerCase())].join(', ')

/** A look at a string of which something more was noticed: what was seen before is still there. */
export function alsoSeen(
  last: { readonly condition: Condition; readonly signs: readonly Sign[] } | null,
  sign: Sign,
): { readonly condition: Condition; readonly signs: readonly Sign[] } {
  const signs = [...new Set([...(last?.signs ?? []), sign])]
  return { condition: conditionBy(signs, last?.condition ?? 'sound'), signs }
}

/** The condition that a string with these signs is in at best. */
export function conditionBy(signs: readonly Sign[], otherwise: Condition): Condition {
  return signs.reduce<Condition>(
    (worst, sign) =>
      CONDITIONS.indexOf(FACTS[sign].condition) > CONDITIONS.indexOf(worst) ? FACTS[sign].condition : worst,
    otherwise,
  )
}
