/** Jobs of several strings, covered strings, and what a house's own fittings teach. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { positionAt, type Instrument } from '../instrument/instrument'
import { FRESH } from './context'
import { chosenPlan, coveredPlans } from './covered'
import { footShare } from './feet'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS, habitsFor, WAYS } from './habits'
import { fittingContext, fittingSteps } from './fitting-steps'
import { stepsTogether, type Member } from './together'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const member = (slug: string, number: number, gone: boolean): Member => {
  const position = positionAt(on(slug), number)
  const context = fittingContext(
    on(slug),
    position,
    fittingFigures(on(slug), position, DEFAULT_HABITS),
    DEFAULT_HABITS,
    { ...FRESH, site: gone ? 'mid-length' : null, redoesAbove: true },
  )
  return { id: number, context, steps: fittingSteps(context) }
}
const told = (members: readonly Member[], restring = DEFAULT_HABITS.restring) =>
  stepsTogether(members, restring).map(({ step, members: ids }) => `${step.key} ${ids.join('+')}`)

test('broken basses go in from inside one after another, the longest first, and are then wound', () => {
  const order = told([member('lovage', 38, true), member('lovage', 40, true), member('lovage', 39, true)])
  expect(order[0]).toBe('make-ready 38+40+39')
  expect(order.filter((s) => s.startsWith('seat'))).toEqual(['seat 40', 'seat 39', 'seat 38'])
  expect(order.indexOf('seat 38')).toBeLessThan(order.indexOf('wind 40'))
  expect(order.filter((s) => s.startsWith('look-inside'))).toEqual(['look-inside 38+40+39'])
})

test('strings that still hold are changed one for one, from both ends by turns', () => {
  const order = told([2, 9, 20, 33, 46].map((n) => member('lovage', n, false)))
  expect(order.filter((s) => s.startsWith('to-pitch'))).toEqual([
    'to-pitch 46',
    'to-pitch 2',
    'to-pitch 33',
    'to-pitch 9',
    'to-pitch 20',
  ])
  expect(order.indexOf('to-pitch 46')).toBeLessThan(order.indexOf('take-off 2'))
})

test('a house that takes the heaviest first still does not unload the frame', () => {
  const all = on('borage').positions.map((p) => member('borage', p.number, false))
  const order = told(all, 'heaviest first')
  expect(order.indexOf(order.find((s) => s.startsWith('to-pitch')) as string)).toBeLessThan(
    order.lastIndexOf(order.findLast((s) => s.startsWith('take-off')) as string),
  )
  const few = told([member('lovage', 20, false), member('lovage', 21, false)], 'longest first')
  expect(few.indexOf('take-off 20')).toBeLessThan(few.indexOf('seat 21'))
})

test('layers come off from the outermost and go on from the innermost', () => {
  const order = told([4, 5, 6, 7].map((n) => member('yarrow', n, n === 7)))
  expect(order.filter((s) => s.startsWith('take-off'))).toEqual([
    'take-off 4',
    'take-off 5',
    'take-off 6',
    'take-off 7',
  ])
  expect(order.filter((s) => s.startsWith('wrap-foot'))).toEqual([
    'wrap-foot 7',
    'wrap-foot 6',
    'wrap-foot 5',
    'wrap-foot 4',
  ])
  expect(order.some((s) => s.startsWith('move-aside'))).toBe(false)
})

test('no step of any string is lost or told out of its own order, whatever is fitted together', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...shelf),
      fc.constantFrom(...WAYS.restring),
      fc.infiniteStream(fc.nat()),
      (instrument, restring, picks) => {
        const numbers = [...new Set([...picks.take(6)].map((n) => (n % instrument.positions.length) + 1))]
        const members = numbers.map((n) => member(instrument.slug, n, n % 2 === 0))
        const shared = stepsTogether(members, restring)
        for (const m of members) {
          const own = shared.filter(({ members: ids }) => ids.includes(m.id)).map(({ step }) => step.key)
          const expected = m.steps.map((s) => s.key).filter((key) => own.includes(key))
          const order = own.filter((key) => key !== 'trim' && key !== 'look-inside')
          expect(order).toEqual(expected.filter((key) => key !== 'trim' && key !== 'look-inside'))
          const left = m.steps.map((s) => s.key).filter((key) => !own.includes(key))
          expect(left.every((key) => key === 'move-aside' || key === 'put-back')).toBe(true)
        }
      },
    ),
    { numRuns: 60 },
  )
})

describe('a covered string', () => {
  test('is priced three ways; what lies over it is counted in each', () => {
    const plans = coveredPlans(on('yarrow'), positionAt(on('yarrow'), 6), 15)
    expect(plans.map((p) => [p.way, p.renewed.length, p.moved.length, p.shifted.length])).toEqual([
      ['uncover and put back', 1, 2, 1],
      ['redo that foot', 4, 0, 0],
      ['redo all', 7, 0, 0],
    ])
    expect(plans[0]!.minutes).toBe(5 + 15 + 2 * 10)
    for (const plan of plans) expect(plan.total).toBeCloseTo(plan.minutes + 1.5 * plan.retunes, 9)
    expect(plans[0]!.total).toBeLessThan(plans[1]!.total)
    expect(chosenPlan(plans, 'by time and retunes')?.way).toBe('uncover and put back')
    expect(chosenPlan(plans, 'redo all')?.renewed).toHaveLength(7)
  })
  test('on a scroll only what comes off is redone, and what nothing covers has no such choice', () => {
    expect(
      coveredPlans(on('orris'), positionAt(on('orris'), 1), 15)[1]!.renewed.map((p) => p.number),
    ).toEqual([1, 4])
    expect(coveredPlans(on('orris'), positionAt(on('orris'), 3), 15)).toEqual([])
    expect(coveredPlans(on('lovage'), positionAt(on('lovage'), 4), 15)).toEqual([])
  })
  test('the tighter the house tunes, the more retunes a new string costs', () => {
    const retunes = (tolerance: number) =>
      coveredPlans(on('yarrow'), positionAt(on('yarrow'), 7), tolerance)[2]!.retunes
    expect(retunes(5)).toBeGreaterThan(retunes(20))
  })
})

test('feet share their strings as the house says; by thickness neither foot is much thicker', () => {
  expect(footShare(on('yarrow'), 'four low and three high')).toEqual({ high: [1, 2, 3], low: [4, 5, 6, 7] })
  expect(footShare(on('yarrow'), 'three and four when the basses are thick')).toEqual({
    high: [1, 2, 3, 4],
    low: [5, 6, 7],
  })
  const share = footShare(on('yarrow'), 'by thickness')!
  expect([...share.high, ...share.low]).toEqual([1, 2, 3, 4, 5, 6, 7])
  expect(footShare(on('lovage'), 'by thickness')).toBeNull()
})

describe('what a house learns', () => {
  test('it leaves less slack where its wraps come out more, and lands on the wanted number', () => {
    const position = positionAt(on('lovage'), 22)
    const from = { kind: 9, family: 9, workshop: 9 }
    const figures = (wraps: number, cut = 0) =>
      fittingFigures(on('lovage'), position, DEFAULT_HABITS, undefined, {
        wraps: { by: wraps, from },
        cut: { by: cut, from },
      })
    const [plain, learned] = [figures(0), figures(0.4, 0.012)]
    expect(plain.strings[0]!.slack.length - learned.strings[0]!.slack.length).toBeCloseTo(
      0.4 * plain.strings[0]!.drawnPerTurn,
      9,
    )
    expect(learned.strings[0]!.wraps).toBeCloseTo(3, 9)
    expect(learned.strings[0]!.wrapsBySum).toBeCloseTo(2.6, 9)
    expect(learned.cut.total).toBeCloseTo(
      learned.cut.parts.reduce((sum, part) => sum + part.length, 0) + 0.012,
      9,
    )
  })
})

test('a job’s habit goes before the instrument’s, and that before the house’s', () => {
  expect(
    habitsFor({ ...DEFAULT_HABITS, wraps: 4 }, { wraps: 2.5, hand: 'left' }, { hand: 'right' }),
  ).toMatchObject({ wraps: 2.5, hand: 'right', becket: 'before turning' })
})
