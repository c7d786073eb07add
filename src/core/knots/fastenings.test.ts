import { habitsNamed, habitsProblem } from '../fitting/habit-values'
import type { HabitChange } from '../fitting/habits'
import { readCard } from '../practice/read-card'
import {
  endToOrder,
  fasteningNamed,
  isKnotted,
  knotConsumption,
  KNOTS,
  needsAnchor,
  TAIL_FASTENINGS,
  tailFacts,
} from './fastenings'

const mm = 1e-3

test('every tied fastening takes more of a thick string than of a thin one, and at least its tag', () => {
  for (const fastening of TAIL_FASTENINGS.filter(isKnotted)) {
    const thin = knotConsumption(fastening, 0.6 * mm)
    const thick = knotConsumption(fastening, 2 * mm)
    expect(thick).toBeGreaterThan(thin)
    expect(thin).toBeGreaterThan(tailFacts(fastening).tag)
  }
})

test('every knot was drawn down and measured: more loops take more string, crossed ones are wider', () => {
  for (const fastening of KNOTS) {
    const { gauges, widthInGauges } = tailFacts(fastening)
    expect(gauges).toBeGreaterThan(15)
    // Two strands side by side are the least that can lie before an eyelet, and no knot here is a heap.
    expect(widthInGauges).toBeGreaterThan(2)
    expect(widthInGauges).toBeLessThan(6)
  }
  expect(tailFacts('third loop').gauges).toBeGreaterThan(tailFacts('two-loop, open bight').gauges)
  expect(tailFacts('two-loop, crossed').widthInGauges).toBeGreaterThan(
    tailFacts('two-loop, open bight').widthInGauges as number,
  )
  expect(tailFacts('layered foot wrap').gauges).toBe(tailFacts('slip loop').gauges)
})

test('what a house has measured on its own knot comes before what was worked out', () => {
  const worked = knotConsumption('slip loop', 1 * mm)
  expect(knotConsumption('slip loop', 1 * mm, { 'slip loop': 30 })).toBeCloseTo(0.13, 9)
  expect(knotConsumption('third loop', 1 * mm, { 'slip loop': 30 })).toBe(
    knotConsumption('third loop', 1 * mm),
  )
  expect(worked).not.toBeCloseTo(0.05, 4)
})

test('ready-made loops and posts take nothing for a knot', () => {
  expect(knotConsumption('loop on a hitch pin', 0.4 * mm)).toBe(0)
  expect(knotConsumption('round two posts', 0.4 * mm)).toBe(0)
  expect(() => knotConsumption('third loop', 0)).toThrow('gauge: expected a number greater than zero, got 0.')
})

test('a knot needs an anchor unless it is clearly wider than the eyelet', () => {
  const bore = 2.4 * mm
  const atTheLimit = (1.5 * bore) / (tailFacts('two-loop, open bight').widthInGauges as number)
  expect(needsAnchor('two-loop, open bight', atTheLimit - 0.01 * mm, bore)).toBe(true)
  expect(needsAnchor('two-loop, open bight', atTheLimit + 0.01 * mm, bore)).toBe(false)
})

test('a knot that is tied round its anchor needs it, however thick the string', () => {
  expect(needsAnchor('half knot and anchor', 3 * mm, 2.4 * mm)).toBe(true)
  expect(needsAnchor('two-loop, crossed', 3 * mm, 2.4 * mm)).toBe(false)
})

test('what rests on no eyelet needs no anchor', () => {
  expect(needsAnchor('two-loop, open bight', 0.5 * mm, null)).toBe(false)
  expect(needsAnchor('overhand on a bead', 0.5 * mm, 3 * mm)).toBe(false)
  expect(needsAnchor('loop on a hitch pin', 0.5 * mm, 3 * mm)).toBe(false)
})

test('a string is ordered with the end that its fastening asks for', () => {
  expect(endToOrder('loop through itself')).toBe('loop')
  expect(endToOrder('loop on a hitch pin')).toBe('loop')
  expect(endToOrder('two-loop, crossed')).toBe('plain')
  expect(endToOrder('round two posts')).toBe('plain')
})

test('an older record’s loop and through is read as the slip loop, wherever it names a knot', () => {
  expect(TAIL_FASTENINGS as readonly string[]).not.toContain('loop and through')
  expect(fasteningNamed('loop and through')).toBe('slip loop')
  expect(fasteningNamed('third loop')).toBe('third loop')
  expect(fasteningNamed('constructor')).toBe('constructor')
  const old = {
    knot: 'loop and through',
    knots: { 'slip loop': 31, 'loop and through': 40, 'third loop': 20 },
  }
  expect(habitsProblem(old)).toBeNull()
  expect(habitsNamed(old as unknown as HabitChange)).toEqual({
    knot: 'slip loop',
    knots: { 'slip loop': 31, 'third loop': 20 },
  })
  expect(readCard('tie:loop and through:order')?.about).toEqual(['slip loop', 'order'])
})
