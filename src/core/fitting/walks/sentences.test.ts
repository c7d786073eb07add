/** How every step of every family is worded, under any method: short, with its direction, without what is not there. */
import fc from 'fast-check'
import type { Measure } from '../../measure'
import { WAYS, type HabitKey, type Habits } from '../habits'
import { waysBack } from '../mishaps'
import { hasEyelet, hasHitchPin } from '../parts'
import { BREAK_SITES, sitesFor } from '../../wear/break-sites'
import { everyInstrument, lines, sentencesOf, text, told } from './told'

/** Words that a step may have in a sentence. */
const MOST_WORDS = 16

const strings = everyInstrument.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)
const habits = fc
  .record(
    Object.fromEntries((Object.keys(WAYS) as HabitKey[]).map((key) => [key, fc.constantFrom(...WAYS[key])])),
  )
  .map((ways) => ways as Partial<Habits>)
const state = fc.record({
  site: fc.constantFrom(null, ...BREAK_SITES),
  sameString: fc.boolean(),
  forPractice: fc.constant(false),
  turnsGiven: fc.constantFrom(0, 2, 6),
  restring: fc.constantFrom(null, 'go by go' as const, 'from bare' as const),
})
const any = fc.tuple(fc.integer({ min: 0, max: strings.length - 1 }), habits, state).map(([i, ways, how]) => {
  const { instrument, position } = strings[i]!
  const site = how.site !== null && sitesFor(position).includes(how.site) ? how.site : null
  return { instrument, position, ...told(instrument, position.number, ways, { ...how, site }) }
})
const forAny = (check: (one: ReturnType<typeof told> & (typeof strings)[number]) => void) =>
  fc.assert(fc.property(any, check), { numRuns: 400 })

const said = (steps: ReturnType<typeof told>['steps']) =>
  steps.flatMap((step) => [...step.todo, step.right, step.mistake].map(text))
const wordsIn = (sentence: string) => sentence.split(/\s+/).filter((word) => /[\p{L}\d]/u.test(word)).length

test('no sentence of a step is longer than sixteen words', () =>
  forAny(({ steps }) => {
    const long = said(steps)
      .flatMap(sentencesOf)
      .filter((sentence) => wordsIn(sentence) > MOST_WORDS)
    expect(long).toEqual([])
  }))

/** The ways back from whatever can go wrong, at every step, in words. */
const ways = ({ steps, context }: Pick<ReturnType<typeof told>, 'steps' | 'context'>) =>
  steps.flatMap(({ key }) => waysBack(context, key).flatMap(({ word, todo }) => [word, ...todo.map(text)]))

test('nor is one of the way back from what went wrong; and it names no part that is not there', () =>
  forAny((one) => {
    const all = ways(one)
    expect(all.flatMap(sentencesOf).filter((sentence) => wordsIn(sentence) > MOST_WORDS)).toEqual([])
    if (!hasHitchPin(one.context.position)) expect(all.join(' ')).not.toMatch(/hitch pin/)
    if (!hasEyelet(one.context.position)) expect(all.join(' ')).not.toMatch(/eyelet/i)
  }))

test('the check counts words: sixteen pass, seventeen do not', () => {
  expect([16, 17].map((n) => wordsIn(Array(n).fill('word').join(' ')) > MOST_WORDS)).toEqual([false, true])
})

test('no step says a figure twice', () =>
  forAny(({ steps }) => {
    for (const step of steps) {
      const measures = [...step.todo, step.right, step.mistake]
        .flat()
        .filter((part): part is Measure => typeof part !== 'string')
        .concat(step.figures.map(({ measure }) => measure))
        .map((measure) => text([measure]))
      // Two pins of one wire may have like slack: each is named by its label.
      if (step.key === 'round-posts' || step.key === 'to-pitch') continue
      expect([step.key, measures.filter((one, i) => measures.indexOf(one) < i)]).toEqual([step.key, []])
    }
  }))

test('wherever something is turned, its way is said in a word and by an arrow, as its pin has it', () =>
  forAny(({ steps, context }) => {
    const { tightens } = context.position.head.pin
    const looser = tightens === 'clockwise' ? 'anticlockwise' : 'clockwise'
    for (const step of steps) {
      if (step.turning === null) continue
      const tightening = ['tightens', 'turns it in'].includes(step.turning.does)
      if (step.key !== 'move-aside') expect(step.turning.way).toBe(tightening ? tightens : looser)
      expect(lines([step]).join(' ')).toMatch(new RegExp(`[ ,]${step.turning.way}`))
    }
    for (const key of ['wind', 'to-half', 'to-pitch', 'wind-first'] as const) {
      const step = steps.find((one) => one.key === key)
      if (step) expect([key, step.turning?.way]).toEqual([key, tightens])
    }
  }))

test('no part is named that the instrument has not got', () =>
  forAny(({ steps, position, context }) => {
    const all = said(steps).join(' ')
    if (!hasHitchPin(context.position))
      expect(all.replace(/hitch pin.*neighbour/g, '')).not.toMatch(/hitch pin/)
    if (!hasEyelet(context.position)) expect(all).not.toMatch(/eyelet/)
    if (position.mechanism !== 'lever')
      expect(all).not.toMatch(/\blevers?\b(?! stays|’s end)(?!.*Turn its lever)/)
    if (position.mechanism !== 'disc') expect(all).not.toMatch(/\bdiscs?\b|pedal/)
    if (context.figures.strings.length < 2) expect(all).not.toMatch(/both posts|both pins|other pin/)
  }))
