/**
 * A question on a card, made anew from a seed: the same seed asks the same, and nothing is asked twice in one go.
 */
import { SLACK_INTERVALS } from '../fitting/habits'
import type { StringPosition } from '../instrument/instrument'
import type { BeatingInterval } from '../ear/beats'
import { theName } from '../instrument/names'
import { semitoneNumber } from '../pitch/note'
import type { Fastening } from '../knots/tying'
import { seeded } from '../random/seeded'
import { stringsOfCard, type Card } from './cards'
import type { Own } from './drill'
import { faultChoices, faultsFor, type Fault } from './faults'
import { anyOffs, hearChoices, pairsBy } from './hear-question'
import { materialChoices, specimenOf } from './material-question'
import { orderNames, otherNames, type OtherName } from './name-question'
import type { Question } from './question'
import { shuffled } from './shuffled'
import { ownFigures } from './slack-score'
import {
  anchorsOf,
  anchorsShuffled,
  coveredCrossing,
  crossingChoices,
  judgeChoices,
  judgedKnot,
  shownKnot,
  movesAsked,
  movesLaidOut,
  type TiePart,
} from './tie-question'

interface Asking {
  readonly card: Card
  readonly own: Own
  readonly random: () => number
}

/**
 * So many questions on cards, one after the other in their order, and round again.
 *
 * @param owns - instruments that the cards are asked on
 * @param count - of questions; fewer where the cards have nothing more to ask
 */
export function questionsOn(
  cards: readonly Card[],
  owns: readonly Own[],
  count: number,
  seed: number,
): readonly Question[] {
  const random = seeded(seed)
  const questions: Question[] = []
  const asked = new Set<string>()
  for (let round = 0; questions.length < count && round < count; round += 1) {
    const before = questions.length
    for (const card of cards) {
      if (questions.length >= count) break
      const question = freshQuestion(card, owns, asked, random)
      if (!question) continue
      asked.add(likenessOf(question))
      questions.push(question)
    }
    if (questions.length === before) break
  }
  return questions
}

/** How long one takes beside a plain one. */
const TAKES: Record<Question['kind'], number> = { pick: 1, slack: 1, order: 1.5, memory: 2.5, raise: 2.5 }
/** Two to five minutes at the bench, in plain questions. */
const A_GO = 8

/** As many questions on cards as one go holds; at least one, where there is any. */
export function goOn(cards: readonly Card[], owns: readonly Own[], seed: number): readonly Question[] {
  let taken = 0
  return questionsOn(cards, owns, A_GO, seed).filter((question, i) => {
    if (i > 0 && taken + TAKES[question.kind] > A_GO) return false
    taken += TAKES[question.kind]
    return true
  })
}

/** By what two questions are alike. */
export function likenessOf(question: Question): string {
  const { drill, card, slug, number } = question
  switch (question.kind) {
    case 'order':
    case 'memory':
      return card
    case 'pick':
      return question.shows.what === 'knot'
        ? `${card} ${JSON.stringify(question.shows.knot)}`
        : question.shows.what === 'knots'
          ? card
          : question.shows.what === 'sound'
            ? `${card} ${slug} ${number} ${question.shows.sound.off}`
            : `${card} ${slug} ${number}`
    case 'slack':
    case 'raise':
      return `${drill} ${slug} ${number}`
  }
}

/** Tried so often for one that was not asked yet. */
const TRIES = 12

function freshQuestion(
  card: Card,
  owns: readonly Own[],
  asked: ReadonlySet<string>,
  random: () => number,
): Question | null {
  const mine = shuffled(
    owns.filter(({ instrument }) => card.slugs.includes(instrument.slug)),
    random,
  )
  for (const own of mine)
    for (const position of shuffled(stringsOfCard(card, own), random).slice(0, TRIES)) {
      const question = questionOn({ card, own, random }, position)
      if (question && !asked.has(likenessOf(question))) return question
    }
  return null
}

/** What every question says of itself. */
const commonTo = ({ card, own }: Asking, { number }: StringPosition) => ({
  card: card.id,
  drill: card.drill,
  slug: own.instrument.slug,
  number,
})

/** A question on one string; null where it has nothing to ask of it. */
function questionOn(asking: Asking, position: StringPosition): Question | null {
  const { card, own, random } = asking
  const { instrument, habits } = own
  const [, first = '', second = ''] = card.id.split(':')
  const common = commonTo(asking, position)
  const name = theName(position, habits.octaveNames)
  switch (card.drill) {
    case 'which': {
      const choices = orderNames(instrument, position, habits.octaveNames, random)
      return (
        choices && {
          ...common,
          kind: 'pick',
          asks: 'What do you order?',
          shows: { what: 'broken string' },
          choices,
        }
      )
    }
    case 'name': {
      const choices = otherNames(second as OtherName, instrument, position, habits.octaveNames, random)
      const asks =
        second === 'number'
          ? `What is the number of ${name}?`
          : second === 'scientific pitch'
            ? `What is ${name} in scientific pitch?`
            : `What is ${name} by its ${second}?`
      return choices && { ...common, kind: 'pick', asks, shows: { what: 'string' }, choices }
    }
    case 'material': {
      const specimen = specimenOf(position, random)
      const choices = materialChoices(specimen, random)
      return (
        choices && {
          ...common,
          kind: 'pick',
          asks: 'What is it?',
          shows: { what: 'specimen', specimen },
          choices,
        }
      )
    }
    case 'wrong': {
      const possible = faultsFor(own, position)
      return {
        ...common,
        kind: 'pick',
        asks: `Look at ${name}: what is wrong, if anything?`,
        shows: { what: 'fault', fault: first as Fault },
        choices: faultChoices(first as Fault, possible, random),
      }
    }
    case 'hear':
      return heard(asking, position, first as BeatingInterval)
    case 'tie':
      return tied(asking, position, first as Fastening, second as TiePart)
    case 'slack': {
      const { wrapsWanted, slack } = ownFigures(own, position)
      if (slack.stretchAloneIsMore) return null
      return {
        ...common,
        kind: 'slack',
        by: habits.slackBy,
        toward: slack.reach.direction,
        wraps: wrapsWanted,
        asks: `Leave slack for ${wrapsWanted} wraps on ${name}.`,
      }
    }
    case 'raise':
      return {
        ...common,
        kind: 'raise',
        stiffness: STIFFNESS.least + (STIFFNESS.most - STIFFNESS.least) * random(),
        beside: besideInTuning(own, position),
        asks: `Bring ${name} up to pitch.`,
      }
  }
}

/** Strings of one kind differ by so much. */
const STIFFNESS = { least: 0.85, most: 1.15 } as const

/** What a new string is brought up against: the string below, and the octave below; what is above where there is none. */
function besideInTuning({ instrument: { positions } }: Own, position: StringPosition): readonly number[] {
  const others = positions.filter((p) => p.number !== position.number)
  const own = semitoneNumber(position.note)
  const below = others
    .filter((p) => semitoneNumber(p.note) < own)
    .toSorted((a, b) => semitoneNumber(b.note) - semitoneNumber(a.note))
  const above = others
    .filter((p) => semitoneNumber(p.note) >= own)
    .toSorted((a, b) => semitoneNumber(a.note) - semitoneNumber(b.note))
  const octave = others.find((p) => own - semitoneNumber(p.note) === 12)
  const octaveAbove = others.find((p) => semitoneNumber(p.note) - own === 12)
  const [next] = below.length > 0 ? below : above
  return [...new Set([next, octave ?? octaveAbove].flatMap((p) => (p ? [p.number] : [])))]
}

function heard(asking: Asking, position: StringPosition, interval: BeatingInterval): Question | null {
  const { random } = asking
  const { instrument, habits } = asking.own
  const pair = pairsBy(instrument, interval).find(({ other }) => other.position.number === position.number)
  if (!pair) return null
  const offs = anyOffs(random)
  const sound = {
    true: pair.true.position.number,
    other: pair.other.position.number,
    interval,
    off: offs.off,
  }
  const nameOf = (p: StringPosition) => theName(p, habits.octaveNames)
  return {
    ...commonTo(asking, position),
    kind: 'pick',
    asks: `How far is ${nameOf(pair.other.position)} off a pure ${interval} with ${nameOf(pair.true.position)}?`,
    shows: { what: 'sound', sound },
    choices: hearChoices(pair, offs, random),
  }
}

function tied(
  asking: Asking,
  position: StringPosition,
  fastening: Fastening,
  part: TiePart,
): Question | null {
  const common = commonTo(asking, position)
  const { random } = asking
  const { habits } = asking.own
  const knot = shownKnot(fastening, habits)
  switch (part) {
    case 'order':
      return {
        ...common,
        kind: 'order',
        knot,
        laidOut: movesLaidOut(fastening, habits, random),
        moves: movesAsked(fastening, habits),
        asks: `Put it in order: ${fastening}.`,
      }
    case 'memory':
      return { ...common, kind: 'memory', knot, asks: `Tie it from memory: ${fastening}.` }
    case 'crossing': {
      const covered = coveredCrossing(fastening, habits, random)
      return (
        covered && {
          ...common,
          kind: 'pick',
          asks: `Stage ${covered.stage + 1} of ${fastening}, seen from ${covered.knot.inside ? 'inside' : 'outside'}: at the question mark, where does the ${covered.led} pass?`,
          shows: { what: 'knot', knot: covered.knot },
          choices: crossingChoices(covered),
        }
      )
    }
    case 'judge': {
      const judged = judgedKnot(fastening, habits, random)
      return (
        judged && {
          ...common,
          kind: 'pick',
          asks: `Is this ${fastening} tied right? It is seen from ${judged.inside ? 'inside' : 'outside'}, for the ${judged.hand} hand.`,
          shows: { what: 'knot', knot: judged },
          choices: judgeChoices(judged),
        }
      )
    }
    case 'anchor': {
      const anchors = anchorsOf(fastening, habits)
      if (!anchors) return null
      const { knots, choices } = anchorsShuffled(anchors, random)
      return {
        ...common,
        kind: 'pick',
        asks: `Where does the anchor go? ${fastening.replace(/^./, (letter) => letter.toUpperCase())}.`,
        shows: { what: 'knots', knots },
        choices,
      }
    }
  }
}

/** The most that a slack can be set to, and by what steps: pins, strings, or metres. */
export function slackRange(by: 'pins' | 'sideways pull' | 'length past the pin'): {
  readonly most: number
  readonly step: number
} {
  switch (by) {
    case 'pins':
      return { most: 2 * SLACK_INTERVALS['an octave'], step: 0.1 }
    case 'sideways pull':
      return { most: 20, step: 0.1 }
    case 'length past the pin':
      return { most: 0.25, step: 0.001 }
  }
}
