import { readShelf } from '@/data/demo/shelf-files'
import type { Instrument } from '../instrument/instrument'
import { positionAt, samePiece } from '../instrument/instrument'
import { lengthOfPins, pinsReached } from '../instrument/neck'
import { slackForWraps } from '../winding/slack'
import { siteWord, sitesFor } from '../wear/break-sites'
import { fittingFigures } from './figures'
import { DEFAULT_HABITS } from './habits'
import { marginWorking, slackWorking, snugToPitchWorking, tensionWorking } from './workings'

const shelf = readShelf('demo').instruments
const on = (slug: string) => shelf.find((i) => i.slug === slug) as Instrument
const everyPosition = shelf.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)

describe('figures', () => {
  test('on every string of the shelf the cut is the sum of its parts, and the slack gives the wanted wraps', () => {
    for (const { instrument, position } of everyPosition) {
      const { cut, strings } = fittingFigures(instrument, position, DEFAULT_HABITS)
      expect(cut.parts.reduce((sum, part) => sum + part.length, 0)).toBeCloseTo(cut.total, 12)
      for (const s of strings) {
        expect(s.wraps).toBeCloseTo(3, 9)
        expect(s.slack.length).toBeCloseTo(
          slackForWraps(3, s.position.head.pin.diameter, s.gauge, s.stretch),
          12,
        )
        expect(s.utilisation).toBeLessThan(0.6)
        expect(s.bank.fits).toBe(true)
      }
    }
  })
  test('one wire of Teasel is cut for twice the way round', () => {
    const teasel = on('teasel')
    const position = positionAt(teasel, 9)
    expect(samePiece(teasel, position).map((p) => p.number)).toEqual([9, 10])
    const { cut, strings } = fittingFigures(teasel, position, DEFAULT_HABITS)
    const [a, b] = strings
    const posts = cut.parts.find((part) => part.what === 'round the posts')?.length ?? 0
    const side = (s: typeof a) =>
      (s?.position.freeLength ?? 0) + (s?.slack.length ?? 0) + 0.005 + DEFAULT_HABITS.tail
    expect(cut.total).toBeCloseTo(side(a) + side(b) + posts, 9)
    expect(posts * 1000).toBeCloseTo(8 + (Math.PI / 2) * 3.36, 6)
    expect(strings[0]?.standHigher).toBeCloseTo(3 * 0.00125, 9)
  })
  test('a gear multiplies every angle of the key, not the turns of the pin', () => {
    const lovage = on('lovage')
    const plain = positionAt(lovage, 22)
    const geared = { ...plain, head: { ...plain.head, pin: { ...plain.head.pin, gearRatio: 6 } } }
    const key = (p: typeof plain) =>
      fittingFigures(
        { ...lovage, positions: lovage.positions.map((q) => (q.number === 22 ? p : q)) },
        p,
        DEFAULT_HABITS,
      ).strings[0]!.key
    expect(key(geared).snugToPitch).toBeCloseTo(6 * key(plain).snugToPitch, 9)
    expect(key(geared).perSemitone).toBeCloseTo(6 * key(plain).perSemitone, 9)
    expect(key(geared).snugToPitchTurns).toBeCloseTo(key(plain).snugToPitchTurns, 12)
  })
  test('where the stretch alone winds on more than is wanted, no slack is left', () => {
    const { strings } = fittingFigures(on('fennel'), positionAt(on('fennel'), 27), {
      ...DEFAULT_HABITS,
      wraps: 0.5,
    })
    expect(strings[0]?.slack).toMatchObject({ length: 0, stretchAloneIsMore: true })
  })
  test('one rule of thumb gives different wraps along one neck', () => {
    const wraps = [1, 19, 33].map(
      (n) => fittingFigures(on('lovage'), positionAt(on('lovage'), n), DEFAULT_HABITS).strings[0]?.slack.rule,
    )
    expect(wraps.map((rule) => rule?.within)).toEqual([true, true, false])
  })
})

describe('along the neck', () => {
  test('pins and lengths come back to each other, whichever way they are counted', () => {
    for (const { instrument, position } of everyPosition) {
      for (const rule of ['along the neck', 'square across'] as const)
        for (const toward of ['toward the bass', 'toward the treble'] as const) {
          for (const pins of [0.5, 2, 3.5]) {
            expect(
              pinsReached(instrument, position, lengthOfPins(instrument, position, pins, { rule, toward }), {
                rule,
                toward,
              }).pins,
            ).toBeCloseTo(pins, 9)
          }
        }
    }
  })
  test('on the steep part of the neck a pin is more than twice the square spacing', () => {
    const at = positionAt(on('lovage'), 33)
    expect(
      lengthOfPins(on('lovage'), at, 4, { rule: 'along the neck', toward: 'toward the bass' }),
    ).toBeGreaterThan(
      2 * lengthOfPins(on('lovage'), at, 4, { rule: 'square across', toward: 'toward the bass' }),
    )
  })
})

test('the break decides what is said at the inspection', () => {
  const position = positionAt(on('lovage'), 22)
  expect(sitesFor(position)).toContain('lever or disc')
  expect(siteWord('lever or disc', position)).toBe('At the disc')
  expect(sitesFor(positionAt(on('teasel'), 9))).not.toContain('knot')
})

test('every working ends in the figure it explains', () => {
  const lovage = on('lovage')
  const position = positionAt(lovage, 22)
  const { strings, construction } = fittingFigures(lovage, position, DEFAULT_HABITS)
  const s = strings[0]!
  expect(tensionWorking(lovage, position).result.value).toBe(s.tension)
  expect(marginWorking(lovage, position).result.value).toBe(s.semitonesToBreaking)
  expect(slackWorking(s, DEFAULT_HABITS).result.value).toBe(s.slack.length)
  expect(snugToPitchWorking(s, construction).result.value).toBe(s.key.snugToPitch)
  const value = (symbol: string) =>
    tensionWorking(lovage, position).inputs.find((i) => i.symbol === symbol)?.measure.value ?? NaN
  expect(4 * value('μ') * (value('L') * value('f')) ** 2).toBeCloseTo(s.tension, 9)
})
