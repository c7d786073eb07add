/** Thin strings: one rule, three consequences, and the knot against its eyelet as second opinion. */
import { readShelf } from '@/data/demo/shelf-files'
import { phraseWords } from '@/ui/format/measure'
import type { Instrument } from '../instrument/instrument'
import { needsAnchor, tailFacts } from '../knots/fastenings'
import { tyingOf } from '../knots/tying'
import { letterStep, note } from '../pitch/note'
import { outerGauge } from '../strings/construction'
import { FRESH } from './context'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS, WAYS, type Habits } from './habits'
import { knotWords } from './knot-words'
import { fittingContext, fittingSteps } from './fitting-steps'
import { isThin, isWire } from './thin'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const everyPosition = shelf.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)
const fit = (instrument: Instrument, number: number, change: Partial<Habits> = {}) => {
  const habits = { ...DEFAULT_HABITS, ...change }
  const position = instrument.positions[number - 1]!
  const figures = fittingFigures(instrument, position, habits)
  const steps = fittingSteps(
    fittingContext(instrument, position, figures, habits, { ...FRESH, site: 'mid-length' }),
  )
  const said = (key: string) =>
    steps
      .find((s) => s.key === key)
      ?.todo.map((p) => phraseWords(p, 'mm'))
      .join(' ') ?? ''
  return { figures, string: figures.strings[0]!, steps, said }
}

test('under every rule, on every string: thin means anchor and lock; wire means none of them', () => {
  for (const thin of WAYS.thin)
    for (const { instrument, position } of everyPosition) {
      const habits = { ...DEFAULT_HABITS, thin }
      const { figures, string, said } = fit(instrument, position.number, { thin })
      const isKnot = tailFacts(position.tail.fastening).hold === 'knot'
      const byRule = isThin(instrument, position, position.construction, habits)
      if (isWire(position.construction)) {
        expect(byRule).toBe(false)
        expect(string.head).toBe(position.head.fastening)
        expect(said('wind')).not.toMatch(/traps itself/)
        if (isKnot)
          expect(figures.needsAnchor).toBe(
            needsAnchor(string.position.tail.fastening, string.gauge, position.tail.eyeletBore),
          )
        continue
      }
      if (byRule && isKnot) expect(figures.needsAnchor).toBe(true)
      // A third loop is off until chart or house ask for it.
      expect(string.position.tail.fastening).toBe(position.tail.fastening)
      if (byRule && position.head.fastening === 'plain becket')
        expect(string.head).toBe('tail tucked, after half a turn')
      // The safer of the two: what its width can't hold gets an anchor whatever the rule says.
      if (
        isKnot &&
        needsAnchor(
          string.position.tail.fastening,
          outerGauge(position.construction),
          position.tail.eyeletBore,
        )
      )
        expect(figures.needsAnchor).toBe(true)
    }
})

test('from the D above middle C: E and D of the fourth octave are thin, C is not; a bass wire never', () => {
  const thin = on('lovage')
    .positions.filter((p) => isThin(on('lovage'), p, p.construction, DEFAULT_HABITS))
    .map((p) => letterStep(p.note))
  expect(Math.min(...thin)).toBe(letterStep(note('D', 4)))
  expect(fit(on('lovage'), 25).string).toMatchObject({ head: 'tail tucked, after half a turn', thin: true })
  expect(fit(on('lovage'), 26).string).toMatchObject({ head: 'plain becket', thin: false })
  expect(fit(on('lovage'), 47).string).toMatchObject({ head: 'plain becket', thin: false })
})

test('the reason is said: the rule, the knot, or both', () => {
  expect(fit(on('lovage'), 5).said('tie-knot')).toMatch(
    /Your method gives an anchor to strings from the D above middle C up/,
  )
  const spared = everyPosition
    .map(({ instrument, position }) =>
      fit(instrument, position.number, { thin: 'below a gauge', thinBelow: 0.3e-3 }),
    )
    .filter(({ figures }) => figures.anchor === 'knot')
  expect(spared.length).toBeGreaterThan(5)
  for (const { said } of spared)
    expect(said('tie-knot')).toContain('This knot is not clearly wider than its hole')
  expect(fit(on('fennel'), 5).said('tie-knot')).toContain('This knot is tied round its anchor and needs it.')
})

test('who has no anchor is not told to keep one, nor that it may fall out', () => {
  for (const { instrument, position } of everyPosition) {
    const { figures, said, steps } = fit(instrument, position.number)
    const all = steps
      .map((s) => [...s.todo, s.right, s.mistake].map((p) => phraseWords(p, 'mm')).join(' '))
      .join(' ')
    if (!figures.needsAnchor)
      expect(
        all.replace('It needs no anchor: the tight knot is clearly wider than its hole.', ''),
      ).not.toMatch(/anchor/i)
    else expect(said('take-off')).toContain('Keep its anchor.')
  }
})

test('step and knot sheet say the same: where the anchor goes, and how the end is kept on its pin', () => {
  for (const { instrument, position } of everyPosition) {
    const { string, said } = fit(instrument, position.number)
    const { fastening } = string.position.tail
    const stages = tyingOf(fastening, { place: 'behind the bight' })
      .stages.map(({ says }) => says)
      .join(' ')
    const step = said('tie-knot')
    if (/into its eye/.test(step)) expect(stages).toMatch(/anchor through its eye/)
    if (fastening === 'twisted loop')
      expect([/into the twisted loop/.test(step), /dowel through the loop/.test(stages)]).toEqual([
        true,
        true,
      ])
    if (/Its end goes behind the bight/.test(step)) expect(stages).toMatch(/its long end behind the bight/)
    const head = tyingOf(string.head, { place: 'behind the bight' })
      .stages.map(({ says }) => says)
      .join(' ')
    if (string.head === 'plain becket' && position.head.pin.setting === 'through the neck') {
      expect(head).toMatch(/at the hole, toward the wood. The first wrap lies over it/)
      expect(said('thread-pin')).toMatch(/at the hole, toward the neck. The first wrap lies over it/)
    }
    if (string.head === 'tail tucked, after half a turn') {
      expect(head).toMatch(/half a turn, and stop/)
      expect(said('wind')).toMatch(/After half a turn, stop. Lead the tail behind the string/)
    }
  }
})

test('half knot and twisted loop have their own look and their own mistake', () => {
  const [half, twisted, general] = [
    knotWords('half knot and anchor'),
    knotWords('twisted loop'),
    knotWords('two-loop, open bight'),
  ]
  for (const words of [half, twisted])
    for (const key of ['right', 'mistake'] as const) expect(words![key]).not.toEqual(general![key])
  expect(knotWords('loop on a hitch pin')).toBeNull()
})
