/** Every knot as hands tie it: the string never passes through itself or its anchor, and comes out as the very knot that is tied. */
import { movesSaid } from '../../fitting/knot-words'
import states from '../drawn/states.json'
import { TAIL_FASTENINGS, tailFacts, type TailFastening } from '../fastenings'
import { clearOfRod } from '../rope/rod'
import { centreline } from '../tails/state'
import { ANCHOR_PLACES, type AnchorPlace } from '../tails/tail-end'
import { tailEndOf } from '../tails/tail-ends'
import { nearest } from '../topology/clearance'
import { blend, norm, minus, type Polyline, type Vec3 } from '../topology/curve'
import { tightness, type DrawnStates, type Tying } from '../tying'
import { byHand } from './by-hand'
import { filmOf } from './films'
import { asTied } from './pose'

const drawn = states as unknown as DrawnStates
const HANDED = TAIL_FASTENINGS.filter((fastening) => filmOf(fastening, 'behind the bight') !== null)

const habits = (anchorPlace: AnchorPlace) => ({ anchor: 'old gut' as const, anchorPlace })
function handsOn(fastening: TailFastening, place: AnchorPlace, anchored: boolean): Tying {
  const says = movesSaid(fastening, habits(place), anchored)
  return byHand(fastening, { place, drawn, anchored, says }) as Tying
}

/** Between two moments no point moves further than this; two parts that are a gauge apart at both can't have passed each other. */
const STEP = 0.45

const farthest = (a: Polyline, b: Polyline) =>
  a.length === b.length ? Math.max(...a.map((p, i) => norm(minus(p, b[i] as Vec3)))) : Infinity

/** Moments of a move while it is laid, so close that no point goes further than {@link STEP}; of one whose points are not the same ones, six. */
function moments(tying: Tying, k: number): readonly number[] {
  const at = (t: number) => tying.stateAt(k + t).curve
  const coarse = Array.from({ length: 31 }, (_, i) => Math.max(1e-6, i / 30)).filter(
    // While it is drawn down it is held to the test of its stages.
    (t) => tightness(tying, k + t) === 0,
  )
  return coarse.flatMap((t, i) => {
    const next = coarse[i + 1]
    if (next === undefined) return [t]
    const far = farthest(at(t), at(next))
    if (!Number.isFinite(far)) return i % 5 === 0 ? [t] : []
    const pieces = Math.max(1, Math.ceil(far / STEP))
    return Array.from({ length: pieces }, (_, j) => t + ((next - t) * j) / pieces)
  })
}

test('whatever is knotted is tied by hands, and nothing else', () => {
  for (const fastening of TAIL_FASTENINGS)
    expect([fastening, HANDED.includes(fastening)]).toEqual([
      fastening,
      ['knot', 'bead', 'toggle'].includes(tailFacts(fastening).hold),
    ])
})

describe.each(HANDED)('%s', (fastening) => {
  test('passes nowhere through itself or its anchor on the way', () => {
    const tying = handsOn(fastening, 'behind the bight', true)
    for (let k = 0; k < tying.stages.length; k += 1)
      for (const t of moments(tying, k)) {
        const { curve, fixtures } = tying.stateAt(k + t)
        expect(nearest(curve).distance).toBeGreaterThanOrEqual(0.95)
        for (const rod of fixtures.filter(({ kind }) => kind === 'anchor'))
          expect(clearOfRod(curve, rod)).toBeGreaterThanOrEqual(0.4)
      }
  })

  test('lies, before it is drawn down, as the knot that its crossings are counted on', () => {
    for (const place of ANCHOR_PLACES) {
      const tying = handsOn(fastening, place, true)
      const { curve } = tying.stateAt(tying.drawnFrom as number)
      const open = centreline(tailEndOf(fastening, place))
      const knot = filmOf(fastening, place)?.lies === 'as tied' ? asTied(open) : open
      for (const p of knot) expect(Math.min(...curve.map((q) => norm(minus(p, q))))).toBeLessThan(0.8)
    }
  })

  test('has one move for each sentence, with an anchor and without, and each begins where the last one ended', () => {
    for (const anchored of [true, false]) {
      const tying = handsOn(fastening, 'behind the bight', anchored)
      expect(tying.stages.map(({ says }) => says)).toEqual(
        movesSaid(fastening, habits('behind the bight'), anchored),
      )
      for (let k = 1; k < tying.stages.length; k += 1) {
        const [before, after] = [tying.stateAt(k).curve, tying.stateAt(k + 1e-6).curve]
        const apart = Math.max(...before.map((p) => Math.min(...after.map((q) => norm(minus(p, q))))))
        expect(apart).toBeLessThan(1.2)
      }
    }
    expect(() => byHand(fastening, { place: 'behind the bight', drawn, anchored: false, says: [] })).toThrow(
      /^Moves of .+: expected \d sentences, got 0\.$/,
    )
  })
})

test('a string that is led straight through itself is seen', () => {
  const tying = handsOn('two-loop, open bight', 'behind the bight', true)
  const open = tying.stateAt(4).curve
  const turnedRound = open.map(([x, y, z]): Vec3 => [x, y, -z])
  const least = Math.min(...[0.3, 0.4, 0.5, 0.6].map((t) => nearest(blend(open, turnedRound, t)).distance))
  expect(least).toBeLessThan(0.5)
})
