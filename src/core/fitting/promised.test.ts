/** What the steps tell a hand to do gives what the figures promise: pin height, wraps, slack of a pair, settling. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { phraseWords } from '@/ui/format/measure'
import { positionAt, type Instrument } from '../instrument/instrument'
import { tailFacts } from '../knots/fastenings'
import { driftCents, FIRST_TUNED, STARTING_TAU } from '../settle/drift'
import { helped, STRETCHINGS } from '../settle/stretching'
import { sidewaysPull, wrapsFromSlack } from '../winding/slack'
import { FRESH, type FittingState } from './context'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS, WAYS, type Habits } from './habits'
import { fittingContext, fittingSteps } from './fitting-steps'
import type { Step, StepKey } from './step'
import { turnsOnFirst } from './step-makers/paired-wire'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const everyPosition = shelf.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)
const told = (
  instrument: Instrument,
  number: number,
  habits: Partial<Habits> = {},
  state: Partial<FittingState> = {},
) => {
  const all = { ...DEFAULT_HABITS, ...habits }
  const position = positionAt(instrument, number)
  const figures = fittingFigures(instrument, position, all)
  const context = fittingContext(instrument, position, figures, all, { ...FRESH, ...state })
  return { figures, context, steps: fittingSteps(context) }
}
const figure = (steps: readonly Step[], key: StepKey, label: string) =>
  steps
    .filter((s) => s.key === key)
    .flatMap(({ figures, others }) => [...figures, ...others])
    .find((f) => f.label === label)?.measure.value
const words = (steps: readonly Step[], key: StepKey) =>
  steps
    .find((s) => s.key === key)
    ?.todo.map((p) => phraseWords(p, 'mm'))
    .join(' ') ?? ''

describe('the height of a threaded pin', () => {
  const threaded = everyPosition.filter(({ position }) => position.head.pin.threadPitch !== null)
  test('over every number of turns given: it stands at one height, and what is left to turn brings it there', () => {
    expect(threaded.length).toBeGreaterThan(20)
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: threaded.length - 1 }),
        fc.integer({ min: 0, max: 24 }),
        (i, quarters) => {
          const { instrument, position } = threaded[i] as (typeof threaded)[number]
          const turnsGiven = quarters / 4
          const { steps, figures } = told(instrument, position.number, {}, { turnsGiven })
          const { threadPitch, height } = position.head.pin
          const string = figures.strings[0]!
          // Given turns have raised it already; the rest is turned now, and winding sinks it to its playing height.
          const out =
            figure(steps, 'set-pin', 'Still to turn out') ??
            -(figure(steps, 'set-pin', 'Turn it back in') ?? NaN)
          const stands = height + (turnsGiven + out) * threadPitch!
          expect(stands).toBeCloseTo(figure(steps, 'set-pin', 'Above the wood')!, 9)
          expect(stands - height).toBeCloseTo(figure(steps, 'set-pin', 'Then stands higher by')!, 9)
          expect(stands - string.wraps * threadPitch!).toBeCloseTo(height, 9)
        },
      ),
    )
  })
  test('its way is said in a word, and by an arrow', () => {
    const set = (turnsGiven: number) => told(on('bistort'), 3, {}, { turnsGiven }).steps
    const { tightens } = positionAt(on('bistort'), 3).head.pin
    const looser = tightens === 'clockwise' ? 'anticlockwise' : 'clockwise'
    expect(words(set(1), 'set-pin')).toContain(`Turn the pin out, ${looser}, seen from the key’s end.`)
    expect(words(set(5), 'set-pin')).toContain(`Turn the pin back in, ${tightens}, seen from the key’s end.`)
    const turning = (turnsGiven: number) => set(turnsGiven).find((s) => s.key === 'set-pin')?.turning
    expect(turning(1)).toMatchObject({ way: looser, does: 'turns it out' })
    expect(turning(5)).toMatchObject({ way: tightens, does: 'turns it in' })
    expect(turning(3)).toBeNull()
  })
})

test('under every way of cutting the wraps that the steps lead to are the wraps that are promised, and the cut holds what they use', () => {
  for (const { instrument, position } of everyPosition)
    for (const cutting of WAYS.cutting)
      for (const wraps of [2, 3, 3.5]) {
        const { steps, figures } = told(instrument, position.number, { cutting, wraps })
        const string = figures.strings[0]!
        if (['foot', 'posts'].includes(tailFacts(string.position.tail.fastening).hold)) continue
        const { diameter } = string.position.head.pin
        const slack =
          cutting === 'on the instrument, then wind'
            ? figure(steps, 'mark', 'Past the pin')! - diameter
            : figure(steps, 'thread-pin', 'Slack past the pin')!
        expect(wrapsFromSlack(slack, diameter, string.gauge, string.stretch, string.lay)).toBeCloseTo(
          figure(steps, 'wind', 'Wraps at pitch')!,
          9,
        )
        const past =
          cutting === 'on the instrument, then wind'
            ? figure(steps, 'mark', 'Past the pin')!
            : cutting === 'set slack, take out, cut, thread again'
              ? slack + figure(steps, 'cut-again', 'Past your fingers')!
              : slack + diameter + figures.tail
        const below = figures.cut.parts
          .filter(({ what }) => !['slack', 'hole', 'tail'].includes(what))
          .reduce((sum, { length }) => sum + length, 0)
        expect(figures.cut.total).toBeCloseTo(below + past, 9)
        expect(steps.some((s) => s.key === 'trim')).toBe(
          cutting !== 'on the instrument, then wind' && string.head !== 'kinked both sides',
        )
      }
})

test('a string cut flush is locked without a tail, and none is told to be tucked', () => {
  for (const { instrument, position } of everyPosition) {
    if (tailFacts(position.tail.fastening).hold === 'posts') continue
    const { steps } = told(instrument, position.number, { cutting: 'on the instrument, then wind' })
    expect(words(steps, 'wind')).not.toMatch(/the tail behind|Lead the tail|keeps the tail/)
  }
})

describe('one wire that is two strings', () => {
  test('wound on its first pin, and the first pulled aside, both pins get their wraps', () => {
    for (const { number } of on('teasel').positions) {
      const { steps, figures } = told(on('teasel'), number)
      const [first, second] = figures.strings as [
        (typeof figures.strings)[number],
        (typeof figures.strings)[number],
      ]
      expect(turnsOnFirst(first) + first.key.snugToPitchTurns).toBeCloseTo(first.wraps, 9)
      const { pull } = second.pair!
      expect(figure(steps, 'pull-aside', 'In length') ?? figure(steps, 'pull-aside', 'Pull it down by')).toBe(
        pull,
      )
      // Let go again, the string that was pulled aside gives back its detour: the slack of the second.
      expect(2 * Math.hypot(first.position.freeLength / 2, pull) - first.position.freeLength).toBeCloseTo(
        second.slack.length,
        9,
      )
      expect(pull).toBeCloseTo(sidewaysPull(first.position.freeLength, second.slack.length), 12)
      expect(steps.map((s) => s.key)).toEqual(
        expect.arrayContaining(['wind-first', 'round-posts', 'pull-aside', 'wind']),
      )
    }
  })
  test('the other way is laid round the posts by its middle', () => {
    const { steps } = told(on('teasel'), 9, { pairedWire: 'cut to length, its middle at the posts' })
    expect(steps.map((s) => s.key)).not.toContain('pull-aside')
    expect(words(steps, 'mark')).toContain('Mark its middle')
    expect(figure(steps, 'mark', 'Middle at')).toBeCloseTo(
      figure(steps, 'mark', 'Cut from the coil')! / 2,
      12,
    )
  })
})

describe('helping it settle', () => {
  test.each(STRETCHINGS)('%s: each cycle leaves less to settle, never less than nothing', (by) => {
    const law = { perDecade: 110, tau: STARTING_TAU }
    const left = Array.from(
      { length: 8 },
      (_, cycles) => -driftCents(helped(law, by, cycles), FIRST_TUNED, 336),
    )
    for (const [i, cents] of left.entries()) {
      expect(cents).toBeGreaterThan(0)
      if (i > 0 && by !== 'leave it alone') expect(cents).toBeLessThan(left[i - 1]!)
      if (by === 'leave it alone') expect(cents).toBeCloseTo(left[0]!, 12)
    }
  })
  test('three gentle pulls make a string of a quarter of an hour 0.84 h old', () => {
    const { tau } = helped({ perDecade: 45, tau: 0.05 }, 'gentle pulls', 3)
    expect(tau + FIRST_TUNED).toBeCloseTo(0.05 + 0.25 * 1.5 ** 3, 12)
  })
  test('the step says what is left alone and after, and no school is called wrong', () => {
    for (const stretching of WAYS.stretching) {
      const { steps, figures } = told(on('lovage'), 3, { stretching })
      const step = steps.find((s) => s.key === 'stretch')
      if (stretching === 'leave it alone') {
        expect(step).toBeUndefined()
        continue
      }
      const { settlingAfter } = figures.strings[0]!.key
      expect(figure(steps, 'stretch', 'Left alone it would take')).toBe(settlingAfter[0])
      expect(figure(steps, 'stretch', 'Saves turning the key, in two weeks')).toBeCloseTo(
        settlingAfter[0]! - settlingAfter[3]!,
        12,
      )
      expect(words(steps, 'stretch')).not.toMatch(/wrong|never do|must not/)
      expect(words(steps, 'stretch')).toContain('It costs')
    }
    expect(told(on('bryony'), 3).steps.some((s) => s.key === 'stretch')).toBe(false)
  })
})
