/** The steps of every string of the shelf, under any habits: their order, their cautions, their words. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { measureText, phraseWords } from '@/ui/format/measure'
import { positionAt, type Instrument, type StringPosition } from '../instrument/instrument'
import { tailFacts } from '../knots/fastenings'
import type { Phrase } from '../measure'
import { coreMaterial, surfaceMaterial } from '../strings/construction'
import { BREAK_SITES, siteFacts, sitesFor, type BreakSite } from '../wear/break-sites'
import { CAUTIONS, type Caution } from './caution'
import { FRESH, type FittingState } from './context'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS, WAYS, type HabitKey, type Habits } from './habits'
import { MISHAPS, waysBack } from './mishaps'
import { fittingContext, fittingSteps } from './fitting-steps'
import type { Step, StepKey } from './step'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const everyPosition = shelf.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)
const text = (phrase: Phrase) => phraseWords(phrase, 'mm')
const contextOf = (
  slug: string,
  number: number,
  habits: Partial<Habits> = {},
  state: Partial<FittingState> = {},
) => {
  const all = { ...DEFAULT_HABITS, ...habits }
  const position = positionAt(on(slug), number)
  return fittingContext(on(slug), position, fittingFigures(on(slug), position, all), all, {
    ...FRESH,
    site: 'mid-length',
    ...state,
  })
}
const stepsOf = (...of: Parameters<typeof contextOf>) => fittingSteps(contextOf(...of))
const words = (steps: readonly Step[], key: StepKey) =>
  steps
    .find((s) => s.key === key)
    ?.todo.map(text)
    .join(' ') ?? ''

/** Any habits at all. */
const habits = fc
  .record(
    Object.fromEntries((Object.keys(WAYS) as HabitKey[]).map((key) => [key, fc.constantFrom(...WAYS[key])])),
  )
  .map((ways) => ({ ...DEFAULT_HABITS, ...ways }) as Habits)
const state = fc
  .record({
    site: fc.constantFrom<BreakSite | null>(null, ...BREAK_SITES),
    sameString: fc.boolean(),
    forPractice: fc.boolean(),
    classDiffers: fc.boolean(),
    turnsGiven: fc.constantFrom(0, 2),
    redoesAbove: fc.boolean(),
    restring: fc.constantFrom(null, 'go by go' as const, 'from bare' as const),
  })
  // Practice puts the same string on again.
  .map((how) => ({ ...how, sameString: how.sameString || how.forPractice }))
const anywhere = fc.integer({ min: 0, max: everyPosition.length - 1 })
/** Told by a number, so that a counterexample can be read. */
const contextAt = (i: number, all: Habits, how: FittingState) => {
  const { instrument, position } = everyPosition[i] as (typeof everyPosition)[number]
  const site = how.site !== null && sitesFor(position).includes(how.site) ? how.site : null
  return fittingContext(instrument, position, fittingFigures(instrument, position, all), all, {
    ...how,
    site,
  })
}

describe('under any habits', () => {
  test('nothing is threaded before its pin is set, nothing wound before it is seated, nothing tuned before it is wound', () => {
    fc.assert(
      fc.property(anywhere, habits, state, (i, all, how) => {
        const context = contextAt(i, all, how)
        const keys = fittingSteps(context).map((s) => s.key)
        expect(new Set(keys).size).toBe(keys.length)
        const before = (a: StepKey, b: StepKey) => {
          if (keys.includes(a) && keys.includes(b)) expect(keys.indexOf(a)).toBeLessThan(keys.indexOf(b))
        }
        before('set-pin', 'thread-pin')
        before('set-pin', 'round-posts')
        for (const seated of ['seat', 'hook-loop', 'round-posts', 'peg-cord'] as const) {
          before(seated, 'wind')
          before(seated, 'wrap-foot')
        }
        before('thread-pin', 'wind')
        before('cut-again', 'wind')
        before('wind', 'to-half')
        before('wrap-foot', 'to-half')
        before('to-half', 'to-pitch')
        expect(keys.includes('to-half')).toBe(how.restring !== null)
        if (how.restring === 'from bare') expect(keys).not.toContain('take-off')
        before('wind', 'to-pitch')
        before('move-aside', 'take-off')
        before('wrap-foot', 'put-back')
        before('put-back', 'to-pitch')
        before('to-pitch', 'trim')
        expect(keys[0]).toBe('make-ready')
        expect(keys.at(-1)).toBe('log')
        expect(keys.includes('wind')).toBe(!keys.includes('wrap-foot'))
      }),
      { numRuns: 400 },
    )
  })

  test('every caution is said once where it applies, and nowhere else', () => {
    fc.assert(
      fc.property(anywhere, habits, state, (i, all, how) => {
        const context = contextAt(i, all, how)
        const steps = fittingSteps(context)
        const {
          position,
          figures,
          state: { site, classDiffers },
        } = context
        const { hold } = tailFacts(position.tail.fastening)
        const wire = surfaceMaterial(figures.construction).wire || coreMaterial(figures.construction).wire
        const snips =
          figures.strings[0]!.head === 'kinked both sides' &&
          !context.state.sameString &&
          steps.some((s) => s.key === 'thread-pin')
        const whole = site === null || !siteFacts(site).broke
        const nylon = coreMaterial(figures.construction).name.startsWith('nylon')
        const said = steps.flatMap((s) => s.cautions)
        expect(new Set(said).size).toBe(said.length)
        const expected: Record<Caution, boolean> = {
          fall: true,
          stop: true,
          eyes: wire,
          thumb: (whole && how.restring !== 'from bare') || context.above.length > 0,
          class: classDiffers,
          'off-cut':
            wire &&
            ((['knot', 'bead', 'toggle'].includes(hold) &&
              !how.forPractice &&
              steps.some((s) => s.key === 'take-off')) ||
              snips ||
              steps.some(
                (s) =>
                  s.key === 'trim' ||
                  s.key === 'cut-again' ||
                  s.title === 'Mark and cut' ||
                  s.title === 'Cut the wire',
              )),
          glue:
            nylon && (hold === 'bead' || (figures.needsAnchor && context.habits.anchor === 'bead and glue')),
          gloves: hold === 'foot',
          key: hold !== 'foot',
          cutter:
            hold !== 'foot' &&
            (snips ||
              steps.some(
                (s) =>
                  s.key === 'trim' ||
                  s.key === 'cut-again' ||
                  s.title === 'Mark and cut' ||
                  s.title === 'Cut the wire',
              )),
          breaking: false, // no string of the shelf stands close to breaking
        }
        for (const [caution, is] of Object.entries(expected))
          expect({ caution, said: said.includes(caution as Caution) }).toEqual({ caution, said: is })
      }),
      { numRuns: 400 },
    )
  })

  test('every mishap has a way back, to this step or one before it', () => {
    fc.assert(
      fc.property(anywhere, habits, state, (i, all, how) => {
        const context = contextAt(i, all, how)
        const keys = fittingSteps(context).map((s) => s.key)
        for (const key of keys) {
          for (const back of waysBack(context, key)) {
            expect(back.todo.length).toBeGreaterThan(0)
            if (back.backTo !== null) {
              expect(keys).toContain(back.backTo)
              expect(keys.indexOf(back.backTo)).toBeLessThanOrEqual(keys.indexOf(key))
            }
          }
        }
      }),
      { numRuns: 200 },
    )
  })
})

test('what the string passes over is said where it is led, and the eye is asked for only where there are no notches', () => {
  const over = (slug: string, bearing: StringPosition['tail']['bearing']) => {
    const position = positionAt(on(slug), 3)
    const changed = { ...position, tail: { ...position.tail, bearing } }
    const context = contextOf(slug, 3)
    const steps = fittingSteps({ ...context, position: changed })
    return { way: words(steps, 'wind'), pitch: words(steps, 'to-pitch') }
  }
  expect(over('lovage', 'saddle').way).toContain('over the same saddle')
  expect(over('lovage', 'notched bridge').way).toContain('over its notch in the bridge')
  expect(over('lovage', null).way).not.toMatch(/saddle|notch/)
  expect(over('bistort', 'plain bridge').pitch).toContain('slide it to even spacing')
  expect(over('bistort', 'notched bridge').pitch).not.toContain('spacing')
  expect(over('bistort', null).pitch).toContain('Has the bridge no notches?')
})

test('each mishap can happen somewhere on the shelf', () => {
  const seen = new Set(
    everyPosition.flatMap(({ instrument, position }) => {
      const context = contextOf(instrument.slug, position.number)
      return fittingSteps(context).flatMap((s) => waysBack(context, s.key).map((back) => back.mishap))
    }),
  )
  expect([...seen].sort()).toEqual([...MISHAPS].sort())
})

test('a wire that slipped goes on no more; gut is let down and set again', () => {
  expect(waysBack(contextOf('bistort', 3), 'wind').find((b) => b.mishap === 'slipped')).toMatchObject({
    loses: 'the string',
    backTo: null,
  })
  expect(waysBack(contextOf('lovage', 22), 'wind').find((b) => b.mishap === 'slipped')).toMatchObject({
    loses: 'nothing',
    backTo: 'seat',
  })
})

describe('what is particular to an instrument', () => {
  test('pedals in flat, levers down, nothing on the rest', () => {
    expect(words(stepsOf('lovage', 9), 'make-ready')).toContain('every pedal in flat')
    expect(words(stepsOf('sorrel', 9), 'make-ready')).toContain(
      'Put every lever off. Off is down on most harps.',
    )
    for (const slug of ['teasel', 'borage', 'bryony', 'yarrow', 'orris'])
      expect(words(stepsOf(slug, 1), 'make-ready')).not.toMatch(/pedal|lever/)
  })
  test('what lies over a string is moved aside before it is reached, and goes back in the other order', () => {
    const yarrow = stepsOf('yarrow', 7)
    expect(words(yarrow, 'move-aside')).toContain(
      'Let down the pegs of strings 1, 2, 3 and 4: all share this foot. Turn each peg anticlockwise, seen from its head, to its end. Unwrap strings 4, 3 and 2 from the foot, the outermost first.',
    )
    expect(words(yarrow, 'put-back')).toContain('strings 2, 3 and 4')
    expect(words(yarrow, 'put-back')).toContain('the lower first')
    expect(words(yarrow, 'to-pitch')).toContain('Turn the peg by hand')
    expect(words(stepsOf('orris', 1), 'move-aside')).toContain('Loosen string 4')
    expect(words(stepsOf('orris', 1), 'hook-loop')).toContain('runs under string 4')
    expect(stepsOf('orris', 3).map((s) => s.key)).not.toContain('move-aside')
    expect(stepsOf('yarrow', 1).map((s) => s.key)).not.toContain('move-aside')
    expect(stepsOf('yarrow', 7, {}, { redoesAbove: true }).map((s) => s.key)).not.toContain('put-back')
  })
  test('a hole stands in line with the string, and along the instrument on a scroll', () => {
    expect(words(stepsOf('lovage', 22), 'set-pin')).toContain('in line with the string')
    expect(words(stepsOf('orris', 2), 'set-pin')).toContain(
      'the hole lies along the instrument, level with it',
    )
  })
  test('a geared pin says how key and pin turn, and needs no rests', () => {
    expect(words(stepsOf('orris', 1), 'wind')).toContain('geared: 6 turns of the knob are one of the pin')
    expect(stepsOf('orris', 1).find((s) => s.key === 'wind')?.rest).toBeNull()
    expect(words(stepsOf('bistort', 1), 'wind')).not.toContain('geared')
  })
  test('a threaded pin stands higher by its thread, whatever turns letting down gave', () => {
    const higher = (turnsGiven: number) =>
      stepsOf('bistort', 3, {}, { site: 'slipped', turnsGiven }).find((s) => s.key === 'set-pin')?.figures[1]
        ?.measure.value
    expect(higher(0)).toBeCloseTo(3 * 1.25e-3, 9)
    expect(higher(2)).toBeCloseTo(3 * 1.25e-3, 9)
    expect(stepsOf('bistort', 3, {}, { site: 'slipped' }).find((s) => s.key === 'take-off')?.asks).toBe(
      'turns',
    )
    expect(stepsOf('bistort', 3).find((s) => s.key === 'take-off')?.asks).toBeNull()
  })
  test('old wire is cut straight before it is drawn through a board, and only there', () => {
    expect(words(stepsOf('bryony', 20), 'take-off')).toContain('Cut old wire back')
    expect(words(stepsOf('bistort', 3), 'take-off')).not.toContain('Cut old wire back')
  })
})

describe('habits', () => {
  test('slack is told first the way the house judges it', () => {
    const told = (slackBy: Habits['slackBy']) => words(stepsOf('lovage', 22, { slackBy }), 'thread-pin')
    expect(told('pins')).toContain('until your pinch reaches the fourth pin toward the bass')
    expect(told('sideways pull')).toContain('until its middle can be pulled so far aside')
    expect(told('length past the pin')).toContain('Let it out by this much past the pin')
  })
  test('each way of cutting has its own steps', () => {
    const keys = (cutting: Habits['cutting']) => stepsOf('lovage', 22, { cutting }).map((s) => s.key)
    expect(keys('wind, trim later')).toEqual(expect.arrayContaining(['mark', 'trim']))
    expect(keys('on the instrument, then wind')).not.toContain('trim')
    expect(keys('set slack, take out, cut, thread again')).toContain('cut-again')
    expect(keys('set slack, take out, cut, thread again')).not.toContain('mark')
  })
  test('a lock is told of thin strings, thin as the house says', () => {
    const locked = (number: number, change: Partial<Habits>) =>
      /traps it|crossed fingers/.test(words(stepsOf('lovage', number, change), 'wind'))
    expect(locked(5, {})).toBe(true)
    expect(locked(30, {})).toBe(false)
    expect(locked(5, { lock: 'none' })).toBe(false)
    expect(locked(30, { thin: 'from the D above middle C', lock: 'second wrap crossed' })).toBe(false)
    expect(locked(20, { thin: 'from the D above middle C', lock: 'second wrap crossed' })).toBe(true)
    expect(locked(20, { thin: 'below a gauge', thinBelow: 0.5e-3, lock: 'second wrap crossed' })).toBe(false)
    expect(locked(33, { thin: 'all but the lowest gut', lock: 'second wrap crossed' })).toBe(false)
  })
  test('wraps in line with the bridge pin leave no smaller angle within what fits', () => {
    for (const { instrument, position } of everyPosition) {
      const {
        strings: [s],
      } = fittingFigures(instrument, position, { ...DEFAULT_HABITS, wrapsBy: 'in line with the bridge pin' })
      expect(s!.bank.fits).toBe(true)
      expect(s!.wrapsWanted).toBeGreaterThanOrEqual(2)
    }
  })
  test('the other hand is told for the left-handed', () => {
    expect(words(stepsOf('lovage', 22, { hand: 'left' }), 'wind')).toContain(
      'Key in your left hand. Your right',
    )
  })
  test('the knot after, the anchor in front, the stretching left alone', () => {
    const steps = stepsOf('lovage', 12, {
      threading: 'from the front, knot after',
      anchorPlace: 'in front of the bight',
      anchor: 'dowel',
      stretching: 'leave it alone',
    })
    const keys = steps.map((s) => s.key)
    expect(keys.indexOf('through-board')).toBeLessThan(keys.indexOf('tie-knot'))
    expect(words(steps, 'tie-knot')).toContain(
      'Put a dowel anchor through the first loop, as far as its middle. Its end goes in front of the bight.',
    )
    expect(keys).not.toContain('stretch')
  })
  test('every way of every habit changes a figure or a word on some string, or is asked elsewhere', () => {
    const elsewhere: readonly HabitKey[] = ['octaveNames', 'gutTop', 'feet', 'covered', 'restring']
    const said = (change: Partial<Habits>) =>
      JSON.stringify(
        [
          ['lovage', 5],
          ['lovage', 22],
          ['lovage', 40],
          ['chervil', 3],
          ['bistort', 2],
          ['orris', 2],
          ['teasel', 3],
          ['borage', 3],
          ['fennel', 19],
        ].map(([slug, n]) => stepsOf(slug as string, n as number, change)),
      )
    for (const key of (Object.keys(WAYS) as HabitKey[]).filter((k) => !elsewhere.includes(k))) {
      const tellings = WAYS[key].map((way) =>
        said({ [key]: way, ...(key === 'thin' ? { lock: 'second wrap crossed' } : {}) }),
      )
      const alike = key === 'windToward' ? 3 : WAYS[key].length // 'under the hole' is what upright pins do in any house
      expect({ key, tellings: new Set(tellings).size }).toEqual({ key, tellings: alike })
    }
  })
})

test.each([
  ['pedal harp', 'lovage', 22],
  ['pedal harp, nylon', 'lovage', 5],
  ['lever harp', 'sorrel', 20],
  ['lever harp, wound nylon', 'fennel', 25],
  ['lap harp', 'chervil', 8],
  ['wire-strung harp', 'bryony', 14],
  ['lap zither', 'teasel', 9],
  ['loop-end zither', 'bistort', 4],
  ['lyre', 'borage', 5],
  ['long zither', 'yarrow', 6],
  ['scroll-head zither', 'orris', 3],
] as const)('the steps of a %s read as reviewed', (_, slug, number) => {
  const told = stepsOf(slug, number).map((s) =>
    [
      `${s.title}${s.asks ? ` [asks ${s.asks}]` : ''}${s.picture ? ` [${s.picture}]` : ''}`,
      ...s.todo.map((phrase) => `  - ${text(phrase)}`),
      ...s.figures.map((f) => `  = ${f.label}: ${measureText(f.measure, 'mm')}`),
      `  right: ${text(s.right)}`,
      `  wrong: ${text(s.mistake)}`,
      ...s.cautions.map((c) => `  ! ${CAUTIONS[c]}`),
    ].join('\n'),
  )
  expect(`\n${told.join('\n')}\n`).toMatchSnapshot()
})
