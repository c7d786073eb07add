/** Every fastening that is drawn passes nowhere through itself, at any moment of its tying, and is the knot that it should be. */
import fc from 'fast-check'
import { HEAD_FASTENINGS, KNOTS, TAIL_FASTENINGS, tailFacts } from '../fastenings'
import { clearOfRod, turnsRound } from '../rope/rod'
import { drawnPin, headOf, headState } from '../heads/heads'
import { alexander } from '../topology/alexander'
import { nearest } from '../topology/clearance'
import { crossingsOf, FROM_INSIDE, FROM_OUTSIDE, seenFrom } from '../topology/crossings'
import { mirrored, type Polyline } from '../topology/curve'
import { codeText, flipped, gaussCode, writhe } from '../topology/gauss-code'
import { linkingNumber } from '../topology/linking'
import { FASTENINGS, isTail, tyingOf, type DrawnStates } from '../tying'
import states from '../drawn/states.json'
import { areMirrorImages, codeOf, holdOfTailEnd } from './hold'
import { mistakesOf } from './mistakes'
import { saidFor } from './said-for'
import { bightOf, centreline, stateOf, whereTheyDiffer } from './state'
import { tellCrossings } from './tell-crossings'
import { ANCHOR_PLACES, placesOf, rodOf } from './tail-end'
import { tailEndOf } from './tail-ends'

const drawn = states as unknown as DrawnStates
/** From a little to the side, where no two straight pieces of a drawn knot lie behind each other. */
const ASKEW = { turn: 17, tilt: 23 }
/** Moments of a tying: six of each stage. */
const moments = (stages: number) => Array.from({ length: stages * 6 }, (_, i) => (i + 1) / 6)

test('there is a way of tying for every fastening of both ends', () => {
  expect(FASTENINGS).toHaveLength(TAIL_FASTENINGS.length + HEAD_FASTENINGS.length)
  for (const fastening of FASTENINGS)
    expect(tyingOf(fastening, { place: 'behind the bight' }).stages.length).toBeGreaterThanOrEqual(3)
})

describe.each(ANCHOR_PLACES)('with the anchor %s', (place) => {
  test.each(
    FASTENINGS.filter(
      (fastening) =>
        place === 'behind the bight' || (isTail(fastening) && placesOf(tailEndOf(fastening)).includes(place)),
    ),
  )('%s can be tied: at no moment does it pass through itself or what it goes round', (fastening) => {
    const tying = tyingOf(fastening, { place, drawn })
    for (const at of moments(tying.stages.length)) {
      const { curve, fixtures, cord } = tying.stateAt(at)
      expect(nearest(curve).distance).toBeGreaterThanOrEqual(1)
      // Through a bead's hole and a pin's the string goes as it should.
      for (const rod of fixtures.filter(({ kind }) => !['bead', 'tuning pin', 'neck'].includes(kind)))
        expect(clearOfRod(curve, rod)).toBeGreaterThanOrEqual(0.45)
      if (cord)
        expect(
          Math.min(
            ...cord.map((p) =>
              Math.min(...curve.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]))),
            ),
          ),
        ).toBeGreaterThanOrEqual(1)
    }
  })
})

test('a pin is drawn turning as it tightens, seen from where its key goes on', () => {
  const pin = {
    diameter: 6e-3,
    height: 0.02,
    holeToEnd: 5e-3,
    bridgeHeight: 0.02,
    toBridge: 0.1,
    threadPitch: null,
    heightDatum: 'top of pin',
    gearRatio: 1,
    turnedBy: 'key',
  } as const
  const head = headOf('tail tucked, after a quarter')!
  for (const setting of ['through the neck', 'upright', 'across a scroll'] as const)
    for (const tightens of ['clockwise', 'anticlockwise'] as const) {
      const drawn = drawnPin({ ...pin, setting, tightens }, 1e-3)
      // Given a quarter turn, the mouth that the string went in by has come to one side.
      const { curve, parts, fixtures } = headState(head, 2, drawn)
      const mouth = curve[parts.lastIndexOf('standing part') + 1]!
      const neck = fixtures.find(({ kind }) => kind === 'neck')!
      // It looks along this, and what is on the right is toward this on the third axis.
      const looks = Math.sign(neck.at[0]) * (setting === 'upright' ? 1 : -1)
      const right = looks
      expect([setting, tightens, Math.sign(mouth[2] * right)]).toEqual([
        setting,
        tightens,
        // From below it goes to the left where the pin turns clockwise.
        tightens === 'clockwise' ? -1 : 1,
      ])
    }
})

test.each(HEAD_FASTENINGS)('%s can be wound on a thin pin and on a thick one', (fastening) => {
  for (const radius of [3.2, 6]) {
    const tying = tyingOf(fastening, { place: 'behind the bight', pin: { radius, isMirrored: false } })
    for (const at of moments(tying.stages.length))
      expect(nearest(tying.stateAt(at).curve).distance).toBeGreaterThanOrEqual(1)
  }
})

test('one moment leads to the next without a jump', () => {
  for (const fastening of FASTENINGS) {
    const tying = tyingOf(fastening, { place: 'behind the bight', drawn })
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: tying.stages.length - 0.01, noNaN: true }), (at) => {
        const thin = (curve: Polyline) => curve.filter((_, i) => i % 3 === 0)
        const [a, b] = [thin(tying.stateAt(at).curve), thin(tying.stateAt(at + 0.005).curve)]
        const far = (from: Polyline, to: Polyline) =>
          Math.max(
            ...from.map((p) => Math.min(...to.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2])))),
          )
        expect(Math.max(far(a, b), far(b, a))).toBeLessThan(2.4)
      }),
      { numRuns: 3 },
    )
  }
})

test.each(TAIL_FASTENINGS.filter((fastening) => tailEndOf(fastening).drawnTo !== null))(
  '%s is the same knot at every moment of its being drawn down',
  (fastening) => {
    const tailEnd = tailEndOf(fastening)
    const open = alexander(gaussCode(crossingsOf(seenFrom(centreline(tailEnd), ASKEW))))
    for (const place of placesOf(tailEnd)) {
      const tying = tyingOf(fastening, { place, drawn })
      for (let at = tailEnd.stages.length - 0.93; at <= tailEnd.stages.length; at += 0.07)
        expect(alexander(gaussCode(crossingsOf(seenFrom(tying.stateAt(at).curve, ASKEW))))).toEqual(open)
    }
  },
)

test('an overhand on a bead is an overhand, and no longer when one of its crossings is flipped', () => {
  const { whole, code } = holdOfTailEnd(tailEndOf('overhand on a bead'))
  expect(whole).toEqual([1, -1, 1])
  for (const crossing of [1, 2, 3]) expect(alexander(flipped(code, crossing))).toEqual([1])
})

test.each([
  'two-loop, open bight',
  'two-loop, crossed',
  'two-loop, crossed, behind',
  'third loop',
  'slip loop',
  'slip knot on a toggle',
] as const)(
  '%s is no knot at all once its bight is drawn back: jam, anchor or board hold it',
  (fastening) => {
    expect(holdOfTailEnd(tailEndOf(fastening)).whole).toEqual([1])
  },
)

test('what the standing part draws tight on the bight is an overhand, and two of them one after the other in the third loop', () => {
  for (const fastening of [
    'two-loop, open bight',
    'two-loop, crossed',
    'two-loop, crossed, behind',
    'slip loop',
  ] as const)
    expect(holdOfTailEnd(tailEndOf(fastening)).toBight).toEqual([1, -1, 1])
  // The polynomial of two knots one after the other is the product of theirs.
  expect(holdOfTailEnd(tailEndOf('third loop')).toBight).toEqual([1, -2, 3, -2, 1])
})

test('flipping the crossing that holds a knot on its bight lets it go', () => {
  const tailEnd = tailEndOf('two-loop, open bight')
  const code = codeOf(centreline(tailEnd).slice(0, bightOf(centreline(tailEnd))))
  expect(alexander(code)).toEqual([1, -1, 1])
  for (let crossing = 1; crossing <= code.length / 2; crossing += 1)
    expect(alexander(flipped(code, crossing))).toEqual([1])
})

test('a slip loop whose long part lies on top where the first loop crosses falls open', () => {
  const curve = centreline(tailEndOf('slip loop'))
  const code = codeOf(curve.slice(0, bightOf(curve)))
  expect(alexander(code)).toEqual([1, -1, 1])
  expect(alexander(flipped(code, 1))).toEqual([1])
})

test('a half knot stays an overhand and a twisted loop a figure of eight under the hitch over the anchor', () => {
  expect(holdOfTailEnd(tailEndOf('half knot and anchor')).whole).toEqual([1, -1, 1])
  expect(holdOfTailEnd(tailEndOf('twisted loop')).whole).toEqual([-1, 3, -1])
})

test('a slip loop is no knot without what stands in its loop', () => {
  expect(holdOfTailEnd(tailEndOf('slip loop')).whole).toEqual([1])
})

test('the crossed knot and its form behind are mirror images in the plane of the board’s face, and of no other', () => {
  const [front, behind] = [tailEndOf('two-loop, crossed'), tailEndOf('two-loop, crossed, behind')]
  expect(areMirrorImages(front, behind)).toBe(true)
  expect(areMirrorImages(front, front)).toBe(false)
  expect(areMirrorImages(front, tailEndOf('two-loop, open bight'))).toBe(false)
  expect(writhe(codeOf(centreline(front))) + writhe(codeOf(centreline(behind)))).toBe(0)
  // Mirror images take as much string and are as wide.
  expect(tailFacts('two-loop, crossed').gauges).toBe(tailFacts('two-loop, crossed, behind').gauges)
})

test('each common mistake is told from the right knot by what it holds, or by what its anchor is in', () => {
  const told = KNOTS.flatMap((fastening) =>
    mistakesOf(fastening, 'behind the bight').map(({ title, tailEnd }) => ({
      fastening,
      title,
      wrong: holdOfTailEnd(tailEnd),
      right: holdOfTailEnd(tailEndOf(fastening)),
    })),
  )
  expect(told.length).toBeGreaterThanOrEqual(6)
  for (const { title, wrong, right } of told) {
    expect(wrong.whole).toEqual([1])
    if (title.startsWith('The anchor'))
      expect([right.keepsOpen, wrong.keepsOpen]).toEqual(['working end', 'standing part'])
    else {
      expect(wrong.toBight).toEqual([1])
      expect(codeText(wrong.code)).not.toBe(codeText(right.code))
    }
  }
  const curl = mistakesOf('overhand on a bead', 'behind the bight')[0]
  expect(curl && holdOfTailEnd(curl.tailEnd).whole).toEqual([1])
})

test('mistakes pass nowhere through themselves, and differ only where they are made', () => {
  for (const fastening of TAIL_FASTENINGS)
    for (const { tailEnd } of mistakesOf(fastening, 'behind the bight')) {
      const open = stateOf(tailEnd, tailEnd.stages.length, null)
      expect(nearest(open.curve).distance).toBeGreaterThanOrEqual(0.99)
      const [from, to] = whereTheyDiffer(tailEnd, tailEndOf(fastening))
      expect(to - from).toBeLessThan(open.curve.length * 0.6)
    }
})

test('an anchor is gone round once, and a peg’s cord is linked with its string', () => {
  for (const fastening of ['two-loop, open bight', 'slip loop'] as const)
    expect(holdOfTailEnd(tailEndOf(fastening)).turnsRound).toBe(1)
  const rod = rodOf(tailEndOf('half knot and anchor'))
  expect(rod && Math.abs(turnsRound(centreline(tailEndOf('half knot and anchor')), rod))).toBeCloseTo(2, 0)
  const { curve, cord } = tyingOf('peg cord', { place: 'behind the bight' }).stateAt(3)
  expect(cord && Math.abs(linkingNumber(curve, cord))).toBe(1)
  expect(
    cord &&
      linkingNumber(
        curve,
        cord.map(([x, y, z]) => [x, y, z + 20]),
      ),
  ).toBe(0)
})

test('seen from inside the box, or in the mirror for the left hand, each is the same knot', () => {
  for (const fastening of KNOTS) {
    const curve = centreline(tailEndOf(fastening))
    const expected = holdOfTailEnd(tailEndOf(fastening)).whole
    expect(alexander(gaussCode(crossingsOf(seenFrom(curve, FROM_INSIDE))))).toEqual(expected)
    expect(alexander(codeOf(mirrored(curve)))).toEqual(expected)
  }
})

test('a stage says what passes before what, and from inside the opposite', () => {
  const slip = tyingOf('slip loop', { place: 'behind the bight' })
  const said = (view: typeof FROM_OUTSIDE) => tellCrossings(slip.stateAt(2), view, 'right').map((c) => c.says)
  expect(said(FROM_OUTSIDE)[0]).toBe('The working end passes in front of the standing part.')
  expect(said(FROM_INSIDE)[0]).toBe('The working end passes behind the standing part.')
  const open = tyingOf('two-loop, open bight', { place: 'behind the bight' })
  expect(tellCrossings(open.stateAt(2), FROM_OUTSIDE, 'right').map((c) => c.says)).toEqual([
    'The standing part passes behind the working end.',
    'The standing part passes behind the working end.',
  ])
})

test('words are turned with the eye: from inside front and back and both sides change places, for the left hand only the sides', () => {
  const says = 'Lead it up, to the left, and down behind both legs, so that it comes out toward you.'
  expect(saidFor(says, { inside: false, hand: 'right' })).toBe(says)
  expect(saidFor(says, { inside: false, hand: 'left' })).toBe(
    'Lead it up, to the right, and down behind both legs, so that it comes out toward you.',
  )
  expect(saidFor(says, { inside: true, hand: 'right' })).toBe(
    'Lead it up, to the right, and down in front of both legs, so that it comes out away from you.',
  )
  expect(saidFor(says, { inside: true, hand: 'left' })).toBe(
    'Lead it up, to the left, and down in front of both legs, so that it comes out away from you.',
  )
  for (const fastening of FASTENINGS)
    for (const { says: stage } of tyingOf(fastening, { place: 'behind the bight' }).stages)
      for (const hand of ['right', 'left'] as const) {
        // Twice turned is as it was.
        expect(saidFor(saidFor(stage, { inside: true, hand }), { inside: true, hand })).toBe(stage)
      }
})
