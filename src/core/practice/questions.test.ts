/** Every question on every card of the demo's instruments: one right answer, as the rest of the program has it. */
import { readShelf } from '@/data/demo/shelf-files'
import { DEFAULT_HABITS } from '../fitting/habits'
import { materialClass } from '../identify/material-class'
import { positionAt } from '../instrument/instrument'
import { NAME_SCHEMES } from '../instrument/names'
import { mistakesOf } from '../knots/tails/mistakes'
import { centreline } from '../knots/tails/state'
import { tailEndOf } from '../knots/tails/tail-ends'
import { tellCrossings } from '../knots/tails/tell-crossings'
import { codeText, gaussCode } from '../knots/topology/gauss-code'
import { crossingsOf, FROM_INSIDE, FROM_OUTSIDE } from '../knots/topology/crossings'
import { isTail } from '../knots/tying'
import { readName } from '../names/read-name'
import { pinsReached } from '../instrument/neck'
import { seeded } from '../random/seeded'
import { questionsOn, likenessOf } from './ask'
import { cardsOf } from './cards'
import type { Own } from './drill'
import { faultsFor } from './faults'
import { anyOffs, hearChoices, offWords, pairsBy } from './hear-question'
import { likelihoodOf, MATERIAL_WORDS } from './material-question'
import { NAME_MISTAKES } from './name-mistakes'
import type { PickQuestion, Question } from './question'
import { ownFigures, slackLeft } from './slack-score'
import { stateShown } from './tie-question'

const { instruments } = readShelf('demo')
const ownOf = (slug: string): Own => ({
  instrument: instruments.find((one) => one.slug === slug)!,
  habits: DEFAULT_HABITS,
})
const owns = instruments.map(({ slug }) => ownOf(slug))

const codeOf = (tailEnd: Parameters<typeof centreline>[0]) =>
  codeText(gaussCode(crossingsOf(centreline(tailEnd))))

/** Whether the choice that is told as right is right by what answers such things elsewhere. */
function checkedRight(question: PickQuestion, own: Own, words: string): boolean {
  const position = positionAt(own.instrument, question.number)
  const { shows } = question
  switch (shows.what) {
    case 'broken string':
    case 'string':
      return readName(words, own.instrument).some(({ number }) => number === question.number)
    case 'specimen': {
      const classes = Object.entries(MATERIAL_WORDS)
      const told = classes.find(([, word]) => word === words)![0] as keyof typeof MATERIAL_WORDS
      const offered = question.choices.map(
        (c) => classes.find(([, word]) => word === c.words)![0] as typeof told,
      )
      const best = offered.reduce((a, b) =>
        likelihoodOf(b, shows.specimen) > likelihoodOf(a, shows.specimen) ? b : a,
      )
      return told === best && told === materialClass(position.construction)
    }
    case 'knot': {
      const { knot } = shows
      if (knot.covered) {
        const told = tellCrossings(stateShown(knot), knot.inside ? FROM_INSIDE : FROM_OUTSIDE, knot.hand)
        const at = told.find(({ x, y }) => x === knot.covered!.x && y === knot.covered!.y)!
        return at.says.includes('in front of') === words.startsWith('In front of')
      }
      if (!isTail(knot.fastening)) return false
      const right = tailEndOf(knot.fastening, knot.place)
      const made =
        knot.mistake === null ? right : mistakesOf(knot.fastening, knot.place)[knot.mistake]!.tailEnd
      const isSame =
        codeOf(made) === codeOf(right) && JSON.stringify(made.fixtures) === JSON.stringify(right.fixtures)
      return isSame === (words === 'It is tied right')
    }
    case 'knots':
      return shows.knots[question.choices.findIndex((c) => c.words === words)]?.anchor === 'where it belongs'
    case 'sound':
      return words === offWords(shows.sound.off)
    case 'fault':
      return faultsFor(own, position).includes(shows.fault)
  }
}

describe.each(owns.map((own) => [own.instrument.name, own] as const))('on %s', (_, own) => {
  const schemes: readonly Own[] = NAME_SCHEMES.map((octaveNames) => ({
    ...own,
    habits: { ...DEFAULT_HABITS, octaveNames },
  }))
  const asked = schemes.flatMap((one, seed) =>
    cardsOf([one])
      .filter(({ drill }) => seed === 0 || drill === 'which' || drill === 'name')
      .flatMap((card) =>
        questionsOn([card], [one], 4, 100 * seed + 7).map((question) => [question, one] as const),
      ),
  )
  test('every card asks, and what has choices has one that is right, by what answers elsewhere; all teach', () => {
    for (const card of cardsOf([own]))
      expect([card.id, questionsOn([card], [own], 1, 3)]).toEqual([card.id, [expect.anything()]])
    for (const [question, one] of asked) {
      if (question.kind !== 'pick') continue
      const told = JSON.stringify([
        question.card,
        question.number,
        question.choices.map(({ words }) => words),
      ])
      const right = question.choices.filter(({ mistake }) => mistake === null)
      expect([told, right.length]).toEqual([told, 1])
      expect(new Set(question.choices.map(({ words }) => words)).size).toBe(question.choices.length)
      expect(question.choices.length).toBeGreaterThanOrEqual(2)
      expect([told, checkedRight(question, one, right[0]!.words)]).toEqual([told, true])
      for (const { words, mistake, teaches } of question.choices) {
        expect(teaches).toMatch(/^[A-Z0-9].*\.$/)
        if (mistake !== null && (question.drill === 'which' || question.drill === 'name'))
          expect([words, checkedRight(question, one, words)]).toEqual([words, false])
      }
    }
  })
  test('the slack that a fitting tells is right, and two pins more are not', () => {
    for (const [question, one] of asked) {
      if (question.kind !== 'slack' || question.by !== 'pins') continue
      const position = positionAt(one.instrument, question.number)
      const { length } = ownFigures(one, position).slack
      const counting = { rule: one.habits.spacing, toward: question.toward }
      const { pins } = pinsReached(one.instrument, position, length, counting)
      expect(slackLeft(one, position, question, pins).off).toBeCloseTo(0, 2)
      expect(slackLeft(one, position, question, 0).isRight).toBe(false)
    }
  })
})

test('no two questions of one go are alike, and the same seed asks the same', () => {
  const cards = cardsOf(owns)
  for (const seed of [1, 2, 3]) {
    const questions = questionsOn(cards, owns, 120, seed)
    expect(questions.length).toBe(120)
    expect(new Set(questions.map(likenessOf)).size).toBe(120)
    expect(questionsOn(cards, owns, 120, seed)).toEqual(questions)
  }
  expect(questionsOn(cards, owns, 20, 5)).not.toEqual(questionsOn(cards, owns, 20, 6))
})

test('an owner of a zither sees no pedals and no harp octaves; a harp’s are mistaken as people do', () => {
  const of = (slug: string) => {
    const own = ownOf(slug)
    return cardsOf([own]).flatMap((card) => questionsOn([card], [own], 20, 2))
  }
  const yarrow = JSON.stringify(of('yarrow'))
  expect(yarrow).not.toMatch(/octave [A-G]|lever|disc|eyelet/)
  const mistakes = (questions: readonly Question[]) =>
    new Set(
      questions.flatMap((q) =>
        q.kind === 'pick' && q.drill !== 'hear' ? q.choices.flatMap((c) => c.mistake ?? []) : [],
      ),
    )
  const lovage = mistakes(of('lovage'))
  for (const mistake of NAME_MISTAKES) expect([...lovage]).toContain(mistake)
  expect([...lovage]).toContain('the anchor in the wrong eye')
})

test('an instrument of one string is asked nothing that takes two; a house without any is asked nothing', () => {
  const harp = instruments[0]!
  const one = { ...harp, positions: harp.positions.slice(0, 1), coverings: [] }
  const drills = new Set(cardsOf([{ instrument: one, habits: DEFAULT_HABITS }]).map(({ drill }) => drill))
  expect([...drills]).not.toEqual(expect.arrayContaining(['which']))
  expect([...drills]).not.toEqual(expect.arrayContaining(['hear']))
  expect([...drills]).toEqual(expect.arrayContaining(['tie', 'slack', 'material']))
  expect(cardsOf([])).toEqual([])
  expect(questionsOn([], [], 8, 1)).toEqual([])
})

test('which is right can’t be told by what is offered: each place in the row is right as often', () => {
  const pair = pairsBy(ownOf('lovage').instrument, 'octave')[0]!
  const random = seeded(11)
  const places = new Map<string, number>()
  for (let i = 0; i < 2000; i += 1) {
    const offs = anyOffs(random)
    const choices = hearChoices(pair, offs, random)
    const row = choices.map(({ brings }) => brings!).toSorted((a, b) => a - b)
    const right = choices.filter(({ mistake }) => mistake === null)
    expect(right.map(({ brings }) => brings)).toEqual([offs.off])
    const place = `${row.join()}: ${row.indexOf(offs.off)}`
    places.set(place, (places.get(place) ?? 0) + 1)
  }
  // Two sizes, either side, four places.
  expect(places.size).toBe(16)
  expect(Math.min(...places.values())).toBeGreaterThan(80)
})
