/** A plain string of a harp, gut and nylon: moves D3, D4, G1 to G20, K10, A1 to A5, S1 to S4, N1 to N9. */
import { WAYS } from '../habits'
import { everyInstrument, lines, missing, on, own, text, told } from './told'

const GUT = {
  G1: /^make-ready: Put every pedal in flat, the top notch/,
  G2: /^take-off: Find the knot through the access hole\. Draw the lower piece out/,
  'G2 upper': /^take-off: Unwind the rest from the pin and draw it out/,
  'G2 short': /^take-off: Look for a short piece in the box and on the floor/,
  P9: /^inspect: Draw the cord back and forth along the string’s own path/,
  G4: /^prove: Uncoil it gently, end over end/,
  G3: /^set-pin: Turn the string hole in line with the string/,
  G5: /^tie-knot: Work the last hand’s breadth soft/,
  'G5 white': /^tie-knot: A bend that turns white is cracked/,
  G6: /^tie-knot: Tie the two-loop knot with an open bight at the end without a label/,
  K1: /^tie-knot: Left hand: bend a U that crosses nothing/,
  'K1 loop': /^tie-knot: Right hand: lay a loop of the long part that crosses itself/,
  'K1 over': /^tie-knot: Lay the right loop over the U, its crossing inward/,
  A2: /^tie-knot: Put an anchor of old gut through the first loop, as far as its middle/,
  A1: /^tie-knot = Anchor: 25 mm/,
  G8: /^through-board: .*Feed the free end up/,
  'G9 hands': /^through-board: Take the end in front, and change hands/,
  'G9 level': /^through-board: The hand in the box holds knot and anchor against the board, level/,
  'G9 curl': /^through-board: Where it curls, stop\. Smooth it/,
  G10: /^seat: Keep the pull on until the pin holds/,
  'G10 clip': /^seat: .*rubber-faced clip/,
  G11: /^thread-pin: Put the end through the string hole/,
  'S1 snug': /^thread-pin: Draw it snug/,
  S1: /^thread-pin: Pinch the string where it enters the pin/,
  S2: /^thread-pin: Let it out until your pinch reaches the \w+ pin toward the bass/,
  G13: /^thread-pin: Bend the end sharply at the hole, toward the neck\. The first wrap lies over it/,
  'G12 way': /^wind: Lead it between the forks of both discs/,
  G12: /^wind: Put it on its bridge pin, on the side its neighbours use/,
  G14: /^wind: Turn the key clockwise, seen from the key’s end/,
  'G14 away': /^wind: On a harp that is away from you/,
  G15: /^wind: After half a turn, stop\. Lead the tail behind the string that comes up/,
  G16: /^wind: Lay each wrap beside the last, toward the neck/,
  'G10 off': /^wind: Take the clip off once two wraps are on/,
  'G16 rests': /^wind: Go slowly, with rests/,
  'G18 below': /^to-pitch: Match the string below/,
  'G18 octave': /^to-pitch: Compare it with its octave below/,
  'G18 tuner': /^to-pitch: Then the tuner/,
  'D4 finger': /^to-pitch: Pluck with the second finger of your left hand/,
  'D4 thumb': /^to-pitch: Rest that hand’s own thumb on a neighbouring string/,
  'D4 key': /^to-pitch: Your right hand stays on the key/,
  'G18 falls': /^to-pitch: It falls straight away\. Tune it again/,
  G19: /^trim: Leave a stub that points in toward the neck/,
  'G20 anchor': /^look-inside: The anchor lies level/,
  G20: /^look-inside: The tag touches neither box nor rod\. A long tag is trimmed/,
}

test('with an anchor: it is tied in (G7), kept on the way in (A4), and threaded as the drawing from the side shows (D2)', () => {
  const anchored = everyInstrument.flatMap((instrument) =>
    instrument.positions.flatMap(({ number }) => {
      const one = told(instrument, number)
      return one.figures.needsAnchor ? [one.steps] : []
    }),
  )
  expect(anchored.length).toBeGreaterThan(20)
  for (const steps of anchored) {
    const [tie, through] = ['tie-knot', 'through-board'].map((key) => steps.find((one) => one.key === key)!)
    expect(lines([tie!]).join('\n')).toMatch(/anchor/)
    expect(text(through!.mistake)).toBe('The anchor falls out on the way: keep a light pull on the string.')
  }
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions)
      for (const step of told(instrument, number).steps.filter(({ key }) => key === 'thread-pin'))
        expect([instrument.name, step.picture]).toEqual([instrument.name, 'slack'])
})

test('the slack set, taken out, cut and threaded again (S3); two to four wraps at pitch (G17)', () => {
  expect(
    missing(told(on('sorrel'), 20, { cutting: 'set slack, take out, cut, thread again' }).steps, {
      S3: /^thread-pin: Draw it snug/,
      'S3 out': /^cut-again: Pinch the string where it enters the hole\. Take it out/,
      'S3 cut': /^cut-again: Cut it this far past your fingers/,
      'S3 again': /^cut-again: Thread it again to the same place/,
    }),
  ).toEqual([])
  for (const instrument of everyInstrument)
    for (const { number, head } of instrument.positions) {
      const { steps, figures } = told(instrument, number)
      if (head.fastening === 'peg cord' || !steps.some(({ key }) => key === 'wind')) continue
      for (const { wraps } of figures.strings) {
        expect([instrument.name, number, wraps >= 2]).toEqual([instrument.name, number, true])
        expect([instrument.name, number, wraps <= 4]).toEqual([instrument.name, number, true])
      }
    }
})

test('a nylon string is pulled a little or rubbed warm, tuned, and again (N8)', () => {
  const way = (stretching: 'gentle pulls' | 'rubbing warm') =>
    missing(told(own('lever harp'), 9, { stretching }).steps, {
      N8:
        stretching === 'gentle pulls'
          ? /^stretch: Pull the string gently along its length/
          : /^stretch: Rub the string along its length with a cloth until it is warm/,
      'N8 again': /^stretch: Bring it back to pitch\. Do this 3 times/,
    })
  expect([...way('gentle pulls'), ...way('rubbing warm')]).toEqual([])
})

test('gut of a pedal harp: every move of the walk, in its order', () => {
  expect(missing(told(on('lovage'), 22).steps, GUT)).toEqual([])
  // The reader itself can fail: a move that is out of its order is missed.
  const { G3, ...rest } = GUT
  expect(missing(told(on('lovage'), 22).steps, { ...rest, G3 })).toHaveLength(1)
})

test('nylon of a lever harp: the hitch at the pin, and levers off', () => {
  const { steps } = told(own('lever harp'), 9, { lock: 'hitched round the string' })
  expect(
    missing(steps, {
      D3: /^make-ready: Put every lever off\. Off is down on most harps/,
      N1: /^prove: Compare old and new between your fingers/,
      N2: /^tie-knot: Leave it open\. Put an anchor/,
      'K6 long': /^tie-knot: Draw it shut with the long side, so that the tag stays short/,
      K6: /^tie-knot: Lay a loop of the long side over the anchor/,
      N3: /^through-board: .*Feed the free end up/,
      N4: /^thread-pin: Put the end through the string hole/,
      N5: /^thread-pin: Lead the tail down past the string, on its treble side/,
      'N5 behind': /^thread-pin: Bring it round behind the string, and up on the bass side/,
      'N5 hold': /^thread-pin: Pull it up and hold it/,
      N7: /^wind: Lead it past its lever/,
      N6: /^wind: On a harp that is away from you/,
    }),
  ).toEqual([])
})

test('an old one and its neighbours are compared only where they are strings of its make', () => {
  const between = (slug: string, number: number) =>
    lines(told(on(slug), number).steps).some((line) => /above and below\. It lies between/.test(line))
  expect(between('lovage', 22)).toBe(true)
  // The lowest of its make lies between two makes, the first has nothing above it.
  expect([between('lovage', 1), between('yarrow', 7)]).toEqual([false, false])
})

test('the hand that plucks steadies itself with its own thumb, for left-handers too', () => {
  for (const hand of WAYS.hand) {
    const plucks = hand === 'right' ? 'left' : 'right'
    const all = lines(told(on('lovage'), 22, { hand }).steps).join('\n')
    expect(all).toContain(`second finger of your ${plucks} hand`)
    expect(all).toContain(`Your ${hand} hand stays on the key`)
  }
})

test('slack: one way is large, the others a tap away, and no pin or string is counted that is not there', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions)
      for (const slackBy of WAYS.slackBy) {
        const { steps, figures } = told(instrument, number, { slackBy })
        const step = steps.find(({ key }) => key === 'thread-pin')
        const [string] = figures.strings
        if (!step || string!.slack.stretchAloneIsMore || step.figures.length === 0) continue
        expect(step.figures).toHaveLength(1)
        const said = [...step.figures, ...step.others]
        const strings = said.filter(({ measure }) => measure.quantity === 'strings')
        for (const { measure } of strings)
          expect(measure.value).toBeLessThanOrEqual(
            Math.max(number - 1, instrument.positions.length - number),
          )
        const pins = said.filter(({ measure }) => measure.quantity === 'pins')
        for (const { measure } of pins)
          expect(measure.value).toBeLessThanOrEqual(instrument.positions.length - 1)
        const counted = /until your pinch reaches the (\w+) pin/.exec(lines([step]).join('\n'))
        expect(counted !== null).toBe(slackBy === 'pins' && string!.slack.reach.isThere)
      }
})

test('the length that is asked at the pin is what is still there: a string cut as told passes', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions) {
      const { steps, figures } = told(instrument, number)
      const asked = steps
        .find(({ key }) => key === 'mark')
        ?.figures.find(({ label }) => label === 'From there to the tip')
      if (!asked) continue
      const used = figures.cut.parts
        .filter(({ what }) => what === 'tag and knot' || what === 'twisted loop')
        .reduce((sum, { length }) => sum + length, 0)
      expect(asked.measure.value).toBeCloseTo(figures.cut.total - used, 12)
      expect(
        asked.measure.value > figures.cut.parts.find(({ what }) => what === 'up to the pin')!.length,
      ).toBe(true)
    }
})

test('cut flush, the end still gets its bend, in the time of the method', () => {
  for (const becket of WAYS.becket) {
    const { steps } = told(on('lovage'), 30, { cutting: 'on the instrument, then wind', becket })
    const bend = /bend|bends at its hole/i
    const at = steps.find(({ todo }) => lines([{ ...steps[0]!, todo }]).some((line) => bend.test(line)))?.key
    const first = steps.findIndex(({ key }) => key === 'thread-pin')
    const told_ = lines(steps.slice(first, first + 2)).filter((line) => bend.test(line))
    expect([becket, told_.length]).toEqual([becket, 1])
    expect(told_[0]!.startsWith(becket === 'before turning' ? 'thread-pin' : 'wind')).toBe(true)
    expect(at).toBeDefined()
  }
})

test('a third loop is tied only where a chart or a method asks for it', () => {
  const third = (instrument: (typeof everyInstrument)[number], habits = {}) =>
    instrument.positions.filter(
      ({ number }) => told(instrument, number, habits).context.position.tail.fastening === 'third loop',
    ).length
  for (const instrument of everyInstrument)
    expect(third(instrument)).toBe(
      instrument.positions.filter(({ tail }) => tail.fastening === 'third loop').length,
    )
  expect(third(own('pedal harp'))).toBe(0)
  expect(third(own('pedal harp'), { knot: 'third loop' })).toBeGreaterThan(40)
})

test('in practice the old string goes on again: nothing is cut, and no length is asked', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions) {
      const { steps } = told(instrument, number, {}, { site: null, sameString: true, forPractice: true })
      expect(steps.map(({ key }) => key)).not.toEqual(
        expect.arrayContaining([expect.stringMatching(/^(trim|cut-again)$/)]),
      )
      expect(steps.every(({ asks }) => asks !== 'cut')).toBe(true)
      expect(
        lines(steps).some((line) => /\bcut (it|this|the string)\b|uncut/i.test(line) && !/white/.test(line)),
      ).toBe(false)
    }
})

test('levers are off where the instrument says so, and on most harps down', () => {
  const harp = own('lever harp')
  const said = (leversOff?: 'down' | 'up' | 'not said') =>
    lines(told(leversOff ? { ...harp, leversOff } : harp, 10).steps).find((line) =>
      /Put every lever off/.test(line),
    )
  expect(said('up')).toBe('make-ready: Put every lever off. Off is up on this harp.')
  expect(said('down')).toBe('make-ready: Put every lever off. Off is down on this harp.')
  for (const unknown of [said(), said('not said')])
    expect(unknown).toBe('make-ready: Put every lever off. Off is down on most harps.')
})
