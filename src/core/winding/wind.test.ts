/** The string on the bench: it reaches its pitch where the figures say, and breaks where they say. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { fittingFigures } from '../fitting/figures'
import { DEFAULT_HABITS } from '../fitting/habits'
import { spanOf } from '../instrument/instrument'
import { strainAt, stressAt } from '../strings/stretch'
import { keyWay, woundBy } from './wind'

const every = readShelf('demo').instruments.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)

test('stress at a strain is the inverse of strain at a stress', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 5e8, noNaN: true }),
      fc.double({ min: 1e9, max: 2e11, noNaN: true }),
      fc.constantFrom(0, 8, 25),
      (sigma, modulus, k) => {
        expect(stressAt(strainAt(sigma, modulus, k), modulus, k)).toBeCloseTo(sigma, -1)
      },
    ),
  )
})

test('on every string of the shelf the key comes to pitch at the charted tension, with the wraps that the figures give', () => {
  for (const { instrument, position } of every) {
    const figures = fittingFigures(instrument, position, DEFAULT_HABITS).strings.find(
      (s) => s.position.number === position.number,
    )!
    const { pin } = position.head
    const span = spanOf(instrument, position)
    const way = keyWay(span, pin, figures.slack.length)
    const there = woundBy(span, pin, figures.slack.length, way.pitch)
    expect(there.cents).toBeCloseTo(0, 4)
    expect(there.tension / figures.tension).toBeCloseTo(1, 6)
    expect(there.wraps).toBeCloseTo(figures.wraps, 6)
    expect(way.pitch - way.snug).toBeCloseTo(figures.key.snugToPitch, 6)
    expect(there.broken).toBe(false)
    expect(woundBy(span, pin, figures.slack.length, way.breaking).utilisation).toBeCloseTo(1, 6)
    expect(woundBy(span, pin, figures.slack.length, way.breaking * 1.01).broken).toBe(true)
  }
})

test('while there is slack there is no pitch; after that it only rises', () => {
  const { instrument, position } = every[21]!
  const span = spanOf(instrument, position)
  const way = keyWay(span, position.head.pin, 0.07)
  expect(woundBy(span, position.head.pin, 0.07, way.snug * 0.5)).toMatchObject({
    pitch: null,
    cents: null,
    tension: 0,
    slackLeft: expect.closeTo(0.035, 6),
  })
  let before = 0
  for (let key = way.snug + 1; key < way.breaking; key += 7) {
    const { pitch } = woundBy(span, position.head.pin, 0.07, key)
    expect(pitch!).toBeGreaterThan(before)
    before = pitch!
  }
})
