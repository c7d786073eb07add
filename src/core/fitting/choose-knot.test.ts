/** Which knot for a string: on the shelf's own strings, and under another habit. */
import { readShelf } from '@/data/demo/shelf-files'
import { phraseWords } from '@/ui/format/measure'
import { positionAt, type Instrument } from '../instrument/instrument'
import { knotConsumption, KNOTS, needsAnchor, tailFacts } from '../knots/fastenings'
import { outerGauge } from '../strings/construction'
import { knotsFor } from './choose-knot'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS } from './habits'
import { fittingContext } from './fitting-steps'
import { withWorkshopKnot } from './workshop-knot'
import { FRESH } from './context'

const shelf = readShelf('demo').instruments
const lovage = shelf.find(({ slug }) => slug === 'lovage') as Instrument
const best = (instrument: Instrument, number: number) => {
  const position = positionAt(instrument, number)
  const [first] = knotsFor(instrument, position, position.construction, DEFAULT_HABITS)
  return (
    first && {
      fastening: first.fastening,
      because: phraseWords(first.because, 'mm'),
      needsAnchor: first.needsAnchor,
    }
  )
}

test('wire gets a slip loop, very thin nylon one more hitch, and gut the general knot', () => {
  expect(best(lovage, 47)).toMatchObject({ fastening: 'slip loop' })
  expect(best(lovage, 1)).toMatchObject({ fastening: 'third loop', needsAnchor: true })
  expect(best(lovage, 21)?.fastening).toBe('two-loop, open bight')
  const g = positionAt(lovage, 21)
  expect(
    knotsFor(lovage, g, g.construction, { ...DEFAULT_HABITS, thin: 'below a gauge', thinBelow: 0.5e-3 })[0]
      ?.fastening,
  ).toBe('two-loop, open bight')
})

test('thick gut that is wider than its eyelet is crossed and needs no anchor', () => {
  const thick = lovage.positions.filter(
    ({ construction, tail }) =>
      construction.kind === 'plain' &&
      construction.material === 'gut' &&
      outerGauge(construction) > 1.6e-3 &&
      tail.eyeletBore !== null,
  )
  expect(thick.length).toBeGreaterThan(2)
  for (const { number } of thick)
    expect(best(lovage, number)).toMatchObject({
      fastening: 'two-loop, crossed',
      needsAnchor: false,
      because: expect.stringContaining('wider than its eyelet') as unknown,
    })
})

test('on every string of the shelf what is tied is among the choices, with its own figures, and only knots are', () => {
  for (const instrument of shelf)
    for (const position of instrument.positions) {
      const choices = knotsFor(instrument, position, position.construction, DEFAULT_HABITS)
      if (tailFacts(position.tail.fastening).hold !== 'knot') {
        expect(choices).toEqual([])
        continue
      }
      expect(choices.map((c) => c.fastening)).toContain(position.tail.fastening)
      const gauge = outerGauge(position.construction)
      for (const { fastening, takes, needsAnchor: anchored } of choices) {
        expect(takes).toBe(knotConsumption(fastening, gauge))
        // The house's rule may give one where the knot would hold, and never takes one away.
        if (needsAnchor(fastening, gauge, position.tail.eyeletBore)) expect(anchored).toBe(true)
      }
    }
})

test('a house that ties one knot ties it wherever a knot rests on an eyelet, and cuts for it', () => {
  for (const knot of KNOTS)
    for (const instrument of shelf) {
      const position = instrument.positions[2] as (typeof instrument.positions)[number]
      const habits = { ...DEFAULT_HABITS, knot }
      const tied = withWorkshopKnot(position, habits)
      const figures = fittingFigures(instrument, position, habits)
      expect(fittingContext(instrument, position, figures, habits, FRESH).position.tail.fastening).toBe(
        tied.tail.fastening,
      )
      if (tailFacts(position.tail.fastening).hold !== 'knot') {
        expect(tied).toBe(position)
        continue
      }
      expect(tied.tail.fastening).toBe(knot)
      expect(figures.cut.parts.find(({ what }) => what === 'tag and knot')?.length).toBeCloseTo(
        knotConsumption(knot, outerGauge(position.construction)),
        9,
      )
    }
})

test('a knot that was measured is cut for as measured', () => {
  const position = positionAt(lovage, 21)
  const cut = (knots: object) => fittingFigures(lovage, position, { ...DEFAULT_HABITS, knots }).cut.total
  const gauge = outerGauge(position.construction)
  const tied = withWorkshopKnot(position, DEFAULT_HABITS).tail.fastening
  expect(cut({ [tied]: tailFacts(tied).gauges + 10 }) - cut({})).toBeCloseTo(10 * gauge, 9)
})
