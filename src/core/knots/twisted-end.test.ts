/** A loop twisted by hand: its length against its own shape laid out, and what it takes on an instrument. */
import { fittingFigures } from '../fitting/figures'
import { fittingContext, fittingSteps } from '../fitting/fitting-steps'
import { FRESH } from '../fitting/context'
import { DEFAULT_HABITS } from '../fitting/habits'
import { NO_CORRECTIONS } from '../fitting/corrections'
import { readShelf } from '@/data/demo/shelf-files'
import { CLOSE_TURNS, OPEN_TURNS, twistedEnd } from './twisted-end'

/** The wire of a loop measured along its own curve, in a thousand straight pieces a turn. */
function measured(gauge: number, eye: number): number {
  const along = (at: (t: number) => readonly [number, number, number]) => {
    let length = 0
    let before = at(0)
    for (let i = 1; i <= 20_000; i += 1) {
      const next = at(i / 20_000)
      length += Math.hypot(next[0] - before[0], next[1] - before[1], next[2] - before[2])
      before = next
    }
    return length
  }
  const turn = 2 * Math.PI
  const r = (eye + gauge) / 2
  const round = along((t) => [r * Math.cos(turn * t), r * Math.sin(turn * t), 0])
  // A leg goes round the middle of the rope at half a gauge, and as far along as round: 45°.
  const leg = along((t) => {
    const angle = turn * OPEN_TURNS * t
    return [(gauge / 2) * Math.cos(angle), (gauge / 2) * Math.sin(angle), (gauge / 2) * angle]
  })
  const axis = (gauge / 2) * turn * OPEN_TURNS
  const close = along((t) => {
    const angle = turn * CLOSE_TURNS * t
    return [gauge * Math.cos(angle), gauge * Math.sin(angle), 0]
  })
  return round + leg + (leg - axis) + close
}

test.each([
  [0.0003, 0.0025],
  [0.0005, 0.003],
])(
  'a loop of %f m wire on a pin of %f m takes what its curve measures, and what pliers hold',
  (gauge, pin) => {
    const { takes, eye } = twistedEnd(gauge, pin)
    expect(eye).toBeGreaterThan(pin)
    expect(takes - measured(gauge, eye)).toBeCloseTo(0.03, 5)
  },
)

test('plain wire for a hitch pin is cut longer by its loop, which is a step before it is hooked on', () => {
  const instrument = readShelf('demo').instruments.find(({ slug }) => slug === 'bistort')!
  const position = instrument.positions.find(({ tail }) => tail.fastening === 'loop on a hitch pin')!
  const asOrdered = fittingFigures(instrument, position, DEFAULT_HABITS)
  const plain = fittingFigures(instrument, position, DEFAULT_HABITS, undefined, NO_CORRECTIONS, 'plain')
  expect(asOrdered.twist).toBeNull()
  expect(plain.twist).not.toBeNull()
  expect(plain.cut.total - asOrdered.cut.total).toBeCloseTo(plain.twist!.takes, 9)
  const keys = (figures: typeof plain, sameString = false) =>
    fittingSteps(fittingContext(instrument, position, figures, DEFAULT_HABITS, { ...FRESH, sameString })).map(
      ({ key }) => key,
    )
  expect(keys(asOrdered)).not.toContain('twist-loop')
  expect(keys(plain).indexOf('twist-loop') + 1).toBe(keys(plain).indexOf('hook-loop'))
  expect(keys(plain, true)).not.toContain('twist-loop')
})
