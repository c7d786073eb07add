/** Layered feet: moves F1 to F9. */
import { footShare } from '../feet'
import { WAYS } from '../habits'
import { lines, missing, on, told } from './told'

const yarrow = on('yarrow')

test('every move of the walk, in its order', () => {
  expect(
    missing(told(yarrow, 7).steps, {
      F3: /^move-aside: Turn each peg anticlockwise, seen from its head, to its end/,
      F2: /^move-aside: Unwrap strings .* from the foot, the outermost first/,
      F4: /^move-aside: Press each string to the board with your thumb while you lift it off/,
      'F3 cord': /^take-off: The cord stays in its hole, at its length/,
      F5: /^peg-cord: Put it through the cord of its peg\. See that the loop sits/,
      F1: /^wrap-foot: Strings .* share this foot/,
      F6: /^wrap-foot: Roll the string on your gloved hand, or on a stick with a hole/,
      F8: /^wrap-foot: Pull it hard toward the foot, until it sounds a few semitones below pitch/,
      'F6 move': /^wrap-foot: Move the roll to the foot without losing the pull/,
      F7: /^wrap-foot: Lay the first turns close to the board, and tight/,
      'F7 glove': /^wrap-foot: Glove off for the last turns/,
      'F7 loop': /^wrap-foot: Look at the stopper loop in the middle and at the end/,
      F9: /^to-pitch: Go through once from the lowest layer to the highest, roughly, by intervals/,
      'F9 intervals': /^to-pitch: From the lowest: tone, minor third, tone, tone, minor third, tone\./,
      'F9 harmonics': /^to-pitch: Then go through exactly, by harmonics/,
      'F9 low': /^to-pitch: For a low string, touch it at its half and listen there/,
    }),
  ).toEqual([])
})

test('how the strings are shared is one figure: as they lie now for one string, as the method says for all', () => {
  for (const { number } of yarrow.positions) {
    const shared = (one: string) => /share this foot/.exec(one) !== null
    const said = lines(told(yarrow, number).steps).filter(shared)
    expect(new Set(said.map((line) => line.match(/\d+/g)!.join())).size).toBe(said.length > 0 ? 1 : 0)
  }
  for (const feet of WAYS.feet)
    for (const { number, called } of yarrow.positions) {
      const share = footShare(yarrow, feet)!
      const with_ = [share.low, share.high].find((some) => some.includes(number))!
      const line = lines(told(yarrow, number, { feet }, { restring: 'from bare' }).steps).find((one) =>
        /share this foot|to itself/.test(one),
      )!
      const counted = [...line.matchAll(/\d+/g)].map(Number)
      expect([feet, called.number, counted.length]).toEqual([feet, called.number, with_.length])
      expect(counted).toContain(called.number)
    }
})

test('it is wrapped a few semitones low, never slack, and never lower than the peg can bring it up', () => {
  for (const { number } of yarrow.positions) {
    const { steps, figures } = told(yarrow, number)
    const low = steps.find(({ key }) => key === 'wrap-foot')!.figures[0]!.measure.value
    const reach = figures.strings[0]!.key.quarterTurn ?? Infinity
    expect(low).toBeGreaterThan(0.5)
    expect(low).toBeLessThanOrEqual(Math.min(4, reach) + 1e-9)
    const all = lines(steps).join('\n')
    expect(all).not.toMatch(/from slack|until it is slack/)
  }
})
