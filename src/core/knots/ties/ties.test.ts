/** Every tie that is drawn: it passes nowhere through itself, and is the knot that it should be. */
import { TAIL_FASTENINGS, tailFacts } from '../fastenings'
import { alexander } from '../topology/alexander'
import { nearest } from '../topology/clearance'
import { crossingsOf, FROM_INSIDE, FROM_OUTSIDE, seenFrom } from '../topology/crossings'
import { mirrored } from '../topology/curve'
import { codeText, flipped, gaussCode } from '../topology/gauss-code'
import { codeOf, holdOfTie } from './hold'
import { tellCrossings } from './tell-crossings'
import { bightOf, centreline, laidUntil, layingOrder, lengthBelowBoard, stageShares, type Tie } from './tie'
import { SLIP_LOOP_FROM_THE_FRONT, tieOf } from './ties'

const ties = TAIL_FASTENINGS.flatMap((fastening) => tieOf(fastening) ?? [])
const of = (fastening: Tie['fastening']) => tieOf(fastening) as Tie

test.each(ties.map((tie) => [tie.fastening, tie] as const))('%s passes nowhere through itself, at any stage', (_, tie) => {
  const curve = layingOrder(tie)
  expect(nearest(curve).distance).toBeGreaterThanOrEqual(1)
  // The end is led along its way, so every part of it has been a state of the tying.
  for (let share = 0.1; share <= 1; share += 0.1) expect(nearest(laidUntil(curve, share)).distance).toBeGreaterThanOrEqual(1)
  const shares = stageShares(tie)
  expect(shares.at(-1)).toBeCloseTo(1, 9)
  expect(shares).toEqual([...shares].sort((a, b) => a - b))
})

test('an overhand on a bead is an overhand, and no longer when one of its crossings is flipped', () => {
  const { whole, code } = holdOfTie(of('overhand on a bead'))
  expect(whole).toEqual([1, -1, 1])
  for (const crossing of [1, 2, 3]) expect(alexander(flipped(code, crossing))).toEqual([1])
})

test.each(['two-loop, open bight', 'two-loop, crossed', 'two-loop, crossed, behind', 'third loop', 'slip loop'] as const)('%s is no knot at all once its bight is drawn back: jam, anchor or board hold it', (fastening) => {
  expect(holdOfTie(of(fastening)).whole).toEqual([1])
})

test('what the standing part draws tight on the bight is an overhand, with one more turn in the third loop', () => {
  for (const fastening of ['two-loop, open bight', 'two-loop, crossed', 'slip loop'] as const) expect(holdOfTie(of(fastening)).toBight).toEqual([1, -1, 1])
  expect(holdOfTie(of('third loop')).toBight).toEqual([1, -1, 1, -1, 1])
})

test('a slip loop put through from the front draws nothing tight: it falls apart', () => {
  expect(holdOfTie({ ...SLIP_LOOP_FROM_THE_FRONT, onBight: true }).toBight).toEqual([1])
  expect(codeText(codeOf(centreline(SLIP_LOOP_FROM_THE_FRONT)))).not.toBe(codeText(codeOf(centreline(of('slip loop')))))
})

test('with the end passed through the second loop it is a knot of its own', () => {
  expect(holdOfTie(of('loop and through')).whole).toEqual([-1, 3, -3, 3, -1])
  expect(holdOfTie(of('slip loop')).whole).toEqual([1])
})

test('the crossed knot and its form behind are mirror images in the plane of the board’s face', () => {
  const [front, behind] = [centreline(of('two-loop, crossed')), centreline(of('two-loop, crossed, behind'))]
  expect(codeOf(behind).map((m) => ({ ...m, over: !m.over, sign: -m.sign }))).toEqual(codeOf(front))
})

test('seen from inside the box, or in the mirror for the left hand, each is the same knot', () => {
  for (const tie of ties) {
    const curve = centreline(tie)
    const expected = holdOfTie(tie).whole
    expect(alexander(gaussCode(crossingsOf(seenFrom(curve, FROM_INSIDE))))).toEqual(expected)
    expect(alexander(codeOf(mirrored(curve)))).toEqual(expected)
  }
})

test('a stage says what passes before what, and from inside the opposite', () => {
  const slip = of('slip loop')
  const [, made, crossed] = [0, ...stageShares(slip)] as [number, number, number]
  const said = (view: typeof FROM_OUTSIDE) => tellCrossings(layingOrder(slip), slip.leads, made, crossed, view).map((c) => c.says)
  expect(said(FROM_OUTSIDE)).toEqual(['The working end passes in front of the standing part.'])
  expect(said(FROM_INSIDE)).toEqual(['The working end passes behind the standing part.'])
  const open = of('two-loop, open bight')
  const [laid, down] = stageShares(open) as [number, number]
  expect(tellCrossings(layingOrder(open), open.leads, laid, down, FROM_OUTSIDE).map((c) => c.says)).toEqual(['The standing part passes behind what lay before.', 'The standing part passes behind what lay before.'])
})

test('the bight is the bend furthest from the pin’s line, and more loops take more string', () => {
  const curve = centreline(of('two-loop, open bight'))
  expect(curve[bightOf(curve)]?.[0]).toBeLessThan(-8.5)
  expect(lengthBelowBoard(centreline(of('third loop')))).toBeGreaterThan(lengthBelowBoard(curve))
  expect(tailFacts('third loop').gauges).toBeGreaterThan(tailFacts('two-loop, open bight').gauges)
})
