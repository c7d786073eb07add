/** Two strings made one wire and one wire made two, in the core and on the shelf. */
import { sentenceOf } from '@/boundary/sentence-of'
import { fittingFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS } from '@/core/fitting/habits'
import { positionAt, samePiece } from '@/core/instrument/instrument'
import { pairedWithNext, unpaired } from '@/core/instrument/pair-strings'
import { YEAR } from '@/core/wear/period'
import { eachOnDemo } from '../demo/each-on-demo'
import { stringLives } from '../fitted/lives'
import { sayOnSince } from '../fitted/on-already'
import { stringsOn } from '../fitted/fitted'
import { logBreak } from '../jobs/log-break'
import type { Store } from '../store/database'
import { copyInstrument } from './change-strings'
import { instrumentBySlug } from './instruments'
import { pairStrings } from './pair-strings'

let store: Store
eachOnDemo((opened) => {
  store = opened
})

const teasel = () => instrumentBySlug(store, 'teasel').instrument

test('made two and one again, a wire is as it was, but for where its strings hang meanwhile', () => {
  const two = unpaired(teasel(), 3).instrument
  expect(samePiece(two, positionAt(two, 3)).map(({ number }) => number)).toEqual([3])
  expect(positionAt(two, 4).tail.fastening).toBe('loop on a hitch pin')
  expect(positionAt(two, 5).piece).toBe(positionAt(teasel(), 5).piece + 1)
  expect(pairedWithNext(two, 3).instrument).toEqual(teasel())
})

test('one wire is cut once for both its strings, two wires each for their own', () => {
  const cut = (of: ReturnType<typeof teasel>, n: number) =>
    fittingFigures(of, positionAt(of, n), DEFAULT_HABITS).cut.total
  const two = unpaired(teasel(), 3).instrument
  expect(cut(teasel(), 3)).toBe(cut(teasel(), 4))
  expect(cut(teasel(), 3)).toBeGreaterThan(cut(two, 3))
  // What goes round the posts comes to it: the gap between them, and a quarter of the way round each.
  const round = cut(teasel(), 3) - cut(two, 3) - cut(two, 4)
  const [a, b] = [positionAt(teasel(), 3), positionAt(teasel(), 4)]
  const gap = Math.abs(a.at.tail.x - b.at.tail.x)
  expect(round).toBeGreaterThan(gap)
  expect(round).toBeLessThan(gap + Math.PI * (a.tail.postDiameter! + 0.001))
})

test.each([
  ['the last one', () => pairedWithNext(unpaired(teasel(), 16).instrument, 16), /is the last one/],
  ['half of a wire', () => pairedWithNext(teasel(), 2), /String 2 is half of a wire already/],
  ['no half of a wire', () => unpaired(unpaired(teasel(), 3).instrument, 3), /has its own wire already/],
  [
    'gut',
    () => pairedWithNext(instrumentBySlug(store, 'lovage').instrument, 20),
    /Only a wire goes round two posts/,
  ],
  [
    'two gauges',
    () => pairedWithNext(instrumentBySlug(store, 'bistort').instrument, gaugeStep()),
    /different gauges/,
  ],
])('%s can’t be paired, and a sentence says why', (_, change, sentence) => {
  expect(change).toThrow(sentence)
})

/** The first string of Bistort whose next one is of another gauge. */
function gaugeStep(): number {
  const { positions } = instrumentBySlug(store, 'bistort').instrument
  return (
    positions.findIndex(
      ({ construction: a }, i) =>
        a.kind === 'plain' && JSON.stringify(a) !== JSON.stringify(positions[i + 1]?.construction),
    ) + 1
  )
}

test('on the shelf the year that somebody remembers stays, the earlier of two; undone, all is as it was', () => {
  const { slug } = copyInstrument(store, 'teasel', 'Clover')
  const stored = () => instrumentBySlug(store, slug)
  const agesOf = (n: number) => {
    const id = stored().positionIds.get(n)!
    const string = stringsOn(store, stored().id).find(({ positionIds }) => positionIds.includes(id))
    return string && { since: string.since, on: string.positionIds.length, id: string.id }
  }
  sayOnSince(store, stored(), [...stored().positionIds.keys()], { year: null })
  pairStrings(store, slug, 3, false)
  expect([agesOf(3), agesOf(4)]).toMatchObject([
    { since: 'unknown', on: 1 },
    { since: 'unknown', on: 1 },
  ])
  sayOnSince(store, stored(), [3], { year: 2019 })
  sayOnSince(store, stored(), [4], { year: 2012 })
  const before = JSON.stringify([stored(), agesOf(3), agesOf(4)])
  const { actionId } = pairStrings(store, slug, 3, true)
  const one = agesOf(3)!
  expect(one).toMatchObject({ since: 'about', on: 2 })
  expect(agesOf(4)).toEqual(one)
  const life = stringLives(store).get(one.id)!
  const years = (store.now() - life.fittedAt + life.agedBefore) / YEAR
  expect(years).toBeGreaterThan(new Date(store.now()).getUTCFullYear() - 2013)
  expect(years).toBeLessThan(new Date(store.now()).getUTCFullYear() - 2011 + 1)
  store.undo(actionId)
  expect(JSON.stringify([stored(), agesOf(3), agesOf(4)])).toBe(before)
})

test('a wire that was put on here keeps its history: it is refused, with the way to go', () => {
  logBreak(store, instrumentBySlug(store, 'teasel'), 3, 'mid-length')
  expect(sentenceOf(() => pairStrings(store, 'teasel', 3, false))).toMatch(/have a history. Copy Teasel/)
})
