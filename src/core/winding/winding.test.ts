import fc from 'fast-check'
import { cutForKnottedString, cutForPairedWire, wayRoundPosts, type Run } from './cut'
import {
  bankOfWraps,
  bankRoom,
  drawnPerTurn,
  holeHeight,
  pullLeftAtHole,
  standHigher,
  turnsToTakeUp,
  type TuningPin,
} from './pin'
import { sidewaysPull, slackForWraps, wrapsFromSlack } from './slack'

const mm = 1e-3
const length = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true })
const pin: TuningPin = {
  setting: 'upright',
  turnedBy: 'key',
  diameter: 5 * mm,
  gearRatio: 1,
  tightens: 'clockwise',
  threadPitch: 1.25 * mm,
  height: 20 * mm,
  heightDatum: 'top of pin',
  holeToEnd: 8 * mm,
  bridgeHeight: 10 * mm,
  toBridge: 30 * mm,
}
const run: Run = { freeLength: 0.745, boardThickness: 0.009, slack: 0.0666, pinDiameter: 0.0072, tail: 0.06 }

describe('the cut', () => {
  test('a knotted string is summed from its tag to the end of its tail', () => {
    const { parts, total } = cutForKnottedString(run, 0.05)
    expect(parts.map((part) => part.what)).toEqual([
      'tag and knot',
      'through the board',
      'up to the pin',
      'slack',
      'hole',
      'tail',
    ])
    expect(total).toBeCloseTo(0.05 + 0.745 + 0.0666 + 0.0072 + 0.06, 12)
  })

  test('the board is counted once, however thick it is', () => {
    fc.assert(
      fc.property(length(0, 0.03), (boardThickness) => {
        expect(cutForKnottedString({ ...run, boardThickness }, 0.05).total).toBeCloseTo(
          cutForKnottedString(run, 0.05).total,
          12,
        )
      }),
    )
  })

  test('a paired wire is twice one side and the way round the posts, the parts lying as they lie on the wire', () => {
    const { parts, total } = cutForPairedWire(run, run, 0.013)
    expect(parts.map((part) => part.what)).toEqual([
      'tail',
      'hole',
      'slack',
      'up to the pin',
      'round the posts',
      'up to the pin',
      'slack',
      'hole',
      'tail',
    ])
    expect(total).toBeCloseTo(2 * (0.745 + 0.0666 + 0.0072 + 0.06) + 0.013, 12)
  })

  test('the way round two posts is their spacing and half the way round each', () => {
    expect(wayRoundPosts(0.008, 0.003, 0.0004) / mm).toBeCloseTo(8 + Math.PI * 1.7, 9)
  })

  test('a part below nothing is refused by its name', () => {
    expect(() => cutForKnottedString({ ...run, slack: -0.001 }, 0.05)).toThrow(
      'slack: expected zero or more, got -0.001.',
    )
    expect(() => cutForKnottedString({ ...run, boardThickness: 0.8 }, 0.05)).toThrow('up to the pin')
  })
})

describe('slack', () => {
  test('pulled sideways it makes a triangle whose sides are the slackened string', () => {
    fc.assert(
      fc.property(length(0.05, 1.6), length(0, 0.2), (free, slack) => {
        const pull = sidewaysPull(free, slack)
        expect(2 * Math.hypot(free / 2, pull)).toBeCloseTo(free + slack, 9)
      }),
    )
  })

  test('no slack pulls nowhere, and more slack pulls further', () => {
    expect(sidewaysPull(0.7, 0)).toBe(0)
    fc.assert(
      fc.property(length(0.05, 1.6), length(0.001, 0.1), length(0.001, 0.1), (free, slack, more) => {
        expect(sidewaysPull(free, slack + more)).toBeGreaterThan(sidewaysPull(free, slack))
      }),
    )
  })

  test('a string that stretches far needs less slack for the same wraps', () => {
    fc.assert(
      fc.property(length(0, 0.03), length(0.0001, 0.03), (stretch, more) => {
        expect(slackForWraps(3, 0.007, 0.001, stretch + more)).toBeLessThan(
          slackForWraps(3, 0.007, 0.001, stretch),
        )
      }),
    )
  })

  test('with no slack at all the stretch alone still winds something on', () => {
    expect(wrapsFromSlack(0, 0.007, 0.001, 0.0251327)).toBeCloseTo(1, 5)
  })
})

describe('the pin', () => {
  test('one turn draws the way round pin and string', () => {
    expect(drawnPerTurn(7.2 * mm, 1.1 * mm)).toBeCloseTo(Math.PI * 8.3 * mm, 12)
    expect(turnsToTakeUp(drawnPerTurn(7.2 * mm, 1.1 * mm) * 2.5, 7.2 * mm, 1.1 * mm)).toBeCloseTo(2.5, 12)
    expect(() => drawnPerTurn(0, 1.1 * mm)).toThrow(
      'pin diameter: expected a number greater than zero, got 0.',
    )
  })

  test('height is told to the hole whatever it was measured to', () => {
    expect(holeHeight(pin)).toBeCloseTo(12 * mm, 12)
    expect(holeHeight({ ...pin, heightDatum: 'string hole' })).toBeCloseTo(20 * mm, 12)
  })

  test('a bank fits until it reaches the wood', () => {
    const most = bankRoom(pin, 1 * mm) / mm
    expect(bankOfWraps(pin, 1 * mm, most - 0.01).fits).toBe(true)
    expect(bankOfWraps(pin, 1 * mm, most + 0.01).fits).toBe(false)
  })

  test('each wrap brings the string nearer to the wood and past straight', () => {
    const angles = [1, 2, 3, 4].map((wraps) => bankOfWraps(pin, 1 * mm, wraps).sideAngle)
    expect(angles).toEqual([...angles].sort((a, b) => b - a))
    expect(angles[0]).toBeGreaterThan(0)
    expect(angles[3]).toBeLessThan(0)
    expect(bankOfWraps(pin, 1 * mm, 1).straightestWraps).toBe(2)
  })

  test('the pull left at the hole falls by the same share with every wrap', () => {
    fc.assert(
      fc.property(length(0.05, 0.4), length(0, 5), (friction, wraps) => {
        expect(pullLeftAtHole(friction, wraps + 1) / pullLeftAtHole(friction, wraps)).toBeCloseTo(
          pullLeftAtHole(friction, 1),
          9,
        )
      }),
    )
    expect(pullLeftAtHole(0.2, 0)).toBe(1)
  })

  test('a threaded pin stands higher by its pitch for every turn', () => {
    expect(standHigher(1.25 * mm, 3) / mm).toBeCloseTo(3.75, 12)
    expect(() => standHigher(0, 3)).toThrow('thread pitch')
  })
})
