/** The schedule, what is due, and how practice is measured. */
import { readShelf } from '@/data/demo/shelf-files'
import { DEFAULT_HABITS } from '../fitting/habits'
import { positionAt, samePiece } from '../instrument/instrument'
import { seeded } from '../random/seeded'
import { DAY } from '../units/time'
import { cardsOf } from './cards'
import { beforeJob, dueOf, forDrill, toPractise } from './due'
import { effectOf, type FittingDone } from './effect'
import { LEARNERS, simulateLearner } from './learner'
import { retentionOf, measuredDrills, shareOf, type Answered } from './measured'
import { oldStrings, whyNotOld, type StringOn } from './old-string'
import type { Answer } from './question'
import { readCard } from './read-card'
import { afterAnswer, gradeOf, recallOf, type Remembered } from './schedule'

const { instruments } = readShelf('demo')
const ownOf = (slug: string) => ({
  instrument: instruments.find((one) => one.slug === slug)!,
  habits: DEFAULT_HABITS,
})
const cards = cardsOf([ownOf('lovage')])
const answer = (isRight: boolean, took = 5000): Answer => ({
  card: cards[0]!.id,
  drill: cards[0]!.drill,
  isRight,
  took,
  mistake: isRight ? null : 'one octave off',
  off: null,
})
const after = (...all: readonly (readonly [day: number, isRight: boolean, took?: number])[]) =>
  all.reduce<Remembered | null>(
    (known, [day, isRight, took]) => afterAnswer(known, answer(isRight, took), day * DAY),
    null,
  )!

test('what is right comes later, what was slow or wrong sooner; nothing sooner than a day or later than half a year', () => {
  const [right, slow, wrong] = [after([0, true]), after([0, true, 60_000]), after([0, false])]
  expect(right.due).toBeGreaterThan(slow.due)
  expect(slow.due).toBeGreaterThanOrEqual(wrong.due)
  expect(wrong.due).toBeGreaterThanOrEqual(DAY)
  const longs = after(...Array.from({ length: 12 }, (_, i) => [40 * i, true] as const))
  expect(longs.due - longs.last).toBeLessThanOrEqual(182 * DAY)
  expect(after([0, true], [10, true], [30, false])).toMatchObject({ reps: 3, lapses: 1 })
  expect(recallOf(right, right.due)).toBeCloseTo(0.9, 1)
  // A knot that is tied with the hands takes its time.
  const tied = { card: 'tie:third loop:memory', drill: 'tie', isRight: true } as const
  expect(gradeOf({ ...tied, took: 100_000 })).toBeGreaterThan(gradeOf({ ...tied, took: 300_000 }))
  expect(gradeOf({ ...tied, card: 'tie:third loop:order', took: 100_000 })).toBe(
    gradeOf({ ...tied, took: 300_000 }),
  )
  expect(after([0, true], [3, false])).toEqual(after([0, true], [3, false]))
})

test('a clock that was set back counts as no time, and loses nothing', () => {
  const known = after([100, true])
  const back = afterAnswer(known, answer(true), 20 * DAY)
  expect(back.last).toBe(known.last)
  expect(back.due).toBeGreaterThan(known.last)
  expect(recallOf(known, 0)).toBe(recallOf(known, known.last))
})

test('what is likeliest forgotten comes first; nothing new while four are due, or while many are half learned', () => {
  const remembered = new Map(
    cards.slice(0, 5).map(({ id }, i) => [id, { ...after([i, i % 2 === 0]), card: id }]),
  )
  const due = dueOf(cards, remembered, 60 * DAY)
  const recalls = due.map(({ id }) => recallOf(remembered.get(id)!, 60 * DAY))
  expect(recalls).toHaveLength(5)
  expect(recalls).toEqual([...recalls].sort((a, b) => a - b))
  expect(toPractise(cards, remembered, { now: 60 * DAY, count: 8, seed: 1 })).toEqual(due)
  // One of each drill before any comes twice.
  const first = toPractise(cards, new Map(), { now: 0, count: 8, seed: 1 })
  expect(new Set(first.map(({ drill }) => drill)).size).toBe(4)
  const many = new Map(cards.slice(0, 12).map(({ id }) => [id, { ...after([0, false]), card: id }]))
  expect(toPractise(cards, many, { now: 0, count: 8, seed: 1 })).toEqual([])
  const tie = cards.filter(({ drill }) => drill === 'tie')
  expect(new Set(forDrill(tie, many, { now: 0, seed: 2 }))).toEqual(new Set(tie))
})

test('before a job the one thing is offered that was longest ago; what is fresh is not', () => {
  const [a, b, c] = cards.filter(({ drill }) => drill === 'tie') as [
    (typeof cards)[0],
    (typeof cards)[0],
    (typeof cards)[0],
  ]
  const known = (id: string, day: number) => [id, { ...after([day, true]), card: id }] as const
  const now = 100 * DAY
  expect(beforeJob([a, b], new Map([known(a.id, 20), known(b.id, 10)]), now)).toEqual({
    card: b,
    last: 10 * DAY,
  })
  expect(beforeJob([a], new Map([known(a.id, 100)]), now)).toBeNull()
  expect(beforeJob([a, c], new Map([known(a.id, 100)]), now)).toEqual({ card: c, last: null })
})

test('every card of the demo is read back from its id; what is none is not', () => {
  for (const { id, drill } of cardsOf(instruments.map(({ slug }) => ownOf(slug))))
    expect([id, readCard(id)?.drill]).toEqual([id, drill])
  for (const id of [
    '',
    'tie',
    'tie:granny:order',
    'which:lovage',
    'hear:constructor',
    'material:toString',
    'raise:a:b',
    'name:a:b:c',
  ])
    expect([id, readCard(id)]).toEqual([id, null])
})

test('no learner is asked what is not due, nor more than eight things a go', () => {
  for (const kind of Object.values(LEARNERS)) {
    const asked = simulateLearner(cards, kind, 60, seeded(3))
    const due = new Map<string, number>()
    const known = new Map<string, Remembered>()
    for (const one of asked) {
      expect(one.day * DAY).toBeGreaterThanOrEqual(due.get(one.card) ?? 0)
      const next = afterAnswer(known.get(one.card) ?? null, one.answer, one.day * DAY)
      known.set(one.card, next)
      due.set(one.card, next.due)
    }
    for (let day = 0; day < 60; day += 1)
      expect(asked.filter((one) => one.day === day).length).toBeLessThanOrEqual(8)
  }
})

const given = (all: Partial<Answered>): Answered => ({
  drill: 'slack',
  card: 'slack:lovage:bass',
  at: 0,
  took: 10_000,
  isRight: true,
  mistake: null,
  off: null,
  recall: null,
  ...all,
})

test('shares are told with their band, times with their spread, weeks in their order', () => {
  // Wilson’s interval for 8 of 10 at z = 1.2816, worked out by hand.
  const { band } = shareOf(8, 10)
  expect(band[0]).toBeCloseTo(0.602, 2)
  expect(band[1]).toBeCloseTo(0.914, 2)
  expect(shareOf(0, 0).band).toEqual([0, 1])
  const [slack] = measuredDrills([
    ...[4, 8, 12, 16, 20].map((took, i) =>
      given({ took: took * 1000, at: i * 8 * DAY, off: i % 2 ? -0.4 : 0.2 }),
    ),
    given({ isRight: false, mistake: 'too much slack', off: 2, at: 40 * DAY }),
  ])
  expect(slack).toMatchObject({
    share: { right: 5, of: 6 },
    times: [8, 12, 16],
    mistakes: [{ mistake: 'too much slack', times: 1 }],
    last: 40 * DAY,
  })
  expect(slack!.off).toBeCloseTo(0.3)
  expect(slack!.weeks.map(({ share }) => share.of).reduce((a, b) => a + b)).toBe(6)
  expect(measuredDrills([])).toEqual([])
})

test('what is forgotten is told by how long it had lain, beside what was expected', () => {
  const kept = retentionOf([
    given({}),
    given({ at: 5 * DAY, recall: 0.8 }),
    given({ at: 15 * DAY, recall: 0.6, isRight: false }),
    given({ at: 15.1 * DAY, isRight: false }),
    given({ card: 'another' }),
    given({ card: 'another', at: 6 * DAY, recall: 0.9, isRight: false }),
  ])
  expect(kept).toMatchObject([
    { days: [2, 7], share: { right: 1, of: 2 } },
    { days: [7, 21], share: { right: 0, of: 1 }, expected: 0.6 },
  ])
  expect(kept[0]!.expected).toBeCloseTo(0.85)
})

test('real fittings: a difference is told when there is one, and not made of nothing', () => {
  const random = seeded(9)
  const made = (practised: boolean, cutOff: number): FittingDone => ({
    practised,
    hadMishap: random() < (practised ? 0.02 : 0.4),
    cutOff: cutOff * (0.5 + random()),
    wrapsOff: null,
  })
  const better = effectOf(
    Array.from({ length: 60 }, (_, i) => made(i % 2 === 0, i % 2 === 0 ? 0.003 : 0.012)),
  )
  expect(better.cut.less).toBeGreaterThan(0.99)
  expect(better.differs.chance).toBeGreaterThan(0.8)
  expect(better.differs.times).toBeLessThan(1)
  expect(better.wraps.less).toBe(0.5)
  const same = effectOf(
    Array.from({ length: 60 }, (_, i) => ({ ...made(i % 2 === 0, 0.01), hadMishap: i % 10 === 0 })),
  )
  expect(same.cut.less).toBeGreaterThan(0.02)
  expect(same.cut.less).toBeLessThan(0.98)
  expect(effectOf([made(true, 0.01)]).cut.less).toBe(0.5)
})

test('the string to take off is sound, settled, no young wire and easy to reach; a long tail comes first', () => {
  const { instrument } = ownOf('lovage')
  const on = instrument.positions.map(({ number }): StringOn => ({
    number,
    condition: null,
    age: 1,
    hasTail: number === 30,
    chance: 0.1,
  }))
  const [best, ...others] = oldStrings(instrument, on)
  expect(best).toMatchObject({ number: 30, hasTail: true })
  for (const { number } of [best!, ...others]) {
    expect(positionAt(instrument, number).construction.kind).toBe('plain')
    expect(whyNotOld(instrument, positionAt(instrument, number), on[number - 1]!)).toBeNull()
  }
  const why = (change: Partial<StringOn>) =>
    whyNotOld(instrument, positionAt(instrument, 24), { ...on[23]!, ...change })
  expect([why({ condition: 'fraying' }), why({ chance: 0.5 }), why({ age: 0.01 })]).toEqual([
    'it is worn',
    'it is too old to be bent again',
    'it has not settled yet',
  ])
  for (const slug of ['bryony', 'teasel', 'yarrow']) {
    const other = ownOf(slug).instrument
    expect(
      oldStrings(
        other,
        other.positions.map(({ number }) => ({ ...on[0]!, number })),
      ),
    ).toEqual([])
  }
})

test('an old plain wire may be taken off and put on again: known to be three years old, sound, and no half of a pair', () => {
  const wire = ownOf('bryony').instrument
  const on = (age: number | null) =>
    wire.positions.map(({ number }): StringOn => ({
      number,
      condition: null,
      age,
      hasTail: false,
      chance: 0.1,
    }))
  expect(oldStrings(wire, on(2.9))).toEqual([])
  expect(oldStrings(wire, on(null))).toEqual([])
  const old = oldStrings(wire, on(3.1))
  expect(old.length).toBeGreaterThan(0)
  for (const { number, isWire, because } of old) {
    expect(isWire).toBe(true)
    expect(because).not.toContain('it is no wire')
    expect(positionAt(wire, number).construction.kind).toBe('plain')
    expect(samePiece(wire, positionAt(wire, number))).toHaveLength(1)
  }
})
