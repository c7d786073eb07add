/** Zithers with loop ends, one wire that is two strings, the scroll head: moves D1, Z1 to Z8, Y1 to Y6, W1 to W10, O4 to O8. */
import fc from 'fast-check'
import { restPitch, type StringPosition } from '../../instrument/instrument'
import { scientificOctave } from '../../pitch/note'
import { stepsTogether } from '../together'
import { isDriven } from '../parts'
import { waysBack } from '../mishaps'
import { everyInstrument, lines, missing, on, own, text, told } from './told'

test('under the bridge: the loop is fished up and the string drawn through it; no hitch pin is named anywhere', () => {
  const { steps } = told(on('borage'), 4)
  const through = everyInstrument.flatMap((instrument) =>
    instrument.positions
      .filter(({ tail }) => tail.fastening === 'loop through itself')
      .map(({ number }) => told(instrument, number).steps),
  )
  expect(through.length + steps.length).toBeGreaterThan(0)
  for (const one of through) {
    expect(
      missing(one, {
        Z3: /^hook-loop: Pass the loop under the bridge\. Fish it up behind with fine pliers/,
        'Z3 own': /^hook-loop: Put the other end through its own loop\. Draw it up moderately/,
        Z7: /^wind: Press the wire low, under the hole|^wind: .*downward/,
      }),
    ).toEqual([])
    const all = one.flatMap((step) => [...lines([step]), ...step.right, ...step.mistake]).join('\n')
    expect(all).not.toMatch(/hitch pin|eyelet/)
  }
})

test('cut at its pin: some 50 to 75 mm past it, flush, and the becket set after half a turn', () => {
  const wide = {
    ...on('bistort'),
    positions: on('bistort').positions.map((p) => ({
      ...p,
      head: { ...p.head, pin: { ...p.head.pin, diameter: 7e-3 } },
    })),
  }
  const { steps } = told(wide, 3, { cutting: 'on the instrument, then wind', becket: 'after half a turn' })
  expect(
    missing(steps, {
      Z4: /^mark = Past the pin: (5\d|6\d|7[0-5]) mm/,
      Z5: /^thread-pin: Stop when it is flush with the far side/,
      Z6: /^wind: After half a turn, stop\. Pull the string taut, so that the end bends at its hole/,
      Z7: /^wind: Press the wire low, under the hole/,
    }),
  ).toEqual([])
  // Y4: on a pin of 7 mm about 70 mm more make three wraps.
  expect(lines(steps)).toContain('wind = Wraps at pitch: 3 wraps')
})

test('several that are gone go on the longest first (Z2); an old wire for practice is kept whole and never cut (Y7)', () => {
  const members = [9, 2, 5].map((number) => ({ id: number, ...told(on('bistort'), number) }))
  const hooked = stepsTogether(members, 'longest first').flatMap(({ step, members: ids }) =>
    step.key === 'hook-loop' ? ids : [],
  )
  expect(hooked).toEqual([9, 5, 2])
  const practised = lines(
    told(on('bistort'), 5, {}, { sameString: true, forPractice: true, site: null }).steps,
  ).join('\n')
  expect(practised).toMatch(/^take-off: Keep it whole\. The same string goes on again/m)
  expect(practised).not.toMatch(/\bcut\b|trim|Cut/)
})

test('on a hitch pin with threaded pins: out before in, higher, the first wrap over the tail', () => {
  const { steps } = told(on('bistort'), 3)
  expect(
    missing(steps, {
      Y1: /^set-pin: Turn the pin out, (anti)?clockwise, seen from the key’s end/,
      Y2: /^set-pin = Still to turn out: 3 turns/,
      'Y2 height': /^set-pin = Above the wood/,
      Y3: /^hook-loop: Hook the loop over its hitch pin/,
      Y5: /^thread-pin: .*downward\. The first wrap lies over it/,
      'Y5 loop': /^wind: Watch the loop\. It jumps off its hitch pin/,
      'Y5 wraps': /^wind: The first wrap goes over the tail\. The rest lie side by side, downward/,
      Y6: /^wind = Wraps at pitch: 3 wraps/,
    }),
  ).toEqual([])
})

test('only pins that are driven meet a hammer', () => {
  for (const instrument of everyInstrument)
    for (const { number, head } of instrument.positions) {
      const all = lines(told(instrument, number, {}, { restring: 'from bare' }).steps).join('\n')
      const driven = isDriven(head.pin)
      expect([instrument.name, number, /Drive the pin/.test(all)]).toEqual([instrument.name, number, driven])
      if (driven) expect(all).toMatch(/stop block of this height[\s\S]*hammer meets the block/)
    }
})

test('one wire, two strings: the end through and bent aside, three strings’ width, trimmed at the end as a step', () => {
  const { steps } = told(on('teasel'), 3)
  expect(
    missing(steps, {
      W1: /^make-ready: .*eye protection/,
      W2: /^set-pin: Turn each pin out, (anti)?clockwise/,
      W3: /^wind-first: Bend it aside\. It holds itself/,
      W4: /^wind-first: Press the wire low with a fingertip, under the hole/,
      'W3 through': /^wind-first = End through the hole: 6 mm/,
      W5: /^round-posts: Keep the pull\. Lead the wire across the bridge and round both posts/,
      W6: /^pull-aside: Pull string \d+ aside at its middle, this far/,
      'W6 hands': /^pull-aside: One hand holds, the other threads/,
      'W6 end': /^pull-aside: Put the end through the pin of string \d+\. Pull it tight/,
      'W6 bend': /^pull-aside: Bend the end back, so that it holds\. Trim it only if it is in the way/,
      W7: /^wind: Wind the pin of string \d+ until the held slack is gone/,
      W8: /^to-pitch: Match the string below|^to-pitch: No string is lower|^to-pitch: Compare/,
      W9: /^to-pitch: Give it a day to settle/,
      W10: /^trim: Hold the end in pliers, so that it can’t fly/,
      'W10 close': /^trim: Cut it close with wire cutters/,
      'W10 bend': /^trim: Bend the sharp bit down and in/,
      'W10 both': /^trim: Do the same at the other pin/,
    }),
  ).toEqual([])
})

test('a wire whose halves are two notes: each has its own pitch, neighbour and key angle, whatever pair and notes', () => {
  const zither = own('lap zither')
  const pairs = [...new Set(zither.positions.map(({ piece }) => piece))]
    .map((piece) => zither.positions.filter((p) => p.piece === piece))
    .filter((halves) => halves.length === 2) as [StringPosition, StringPosition][]
  fc.assert(
    fc.property(
      fc.constantFrom(...pairs),
      fc.constantFrom('A', 'B', 'C', 'D', 'E', 'F', 'G' as const),
      fc.constantFrom(-1, 0, 1),
      (pair, letter, octave) => {
        const [first, second] = pair
        const note = { ...second.note, letter, octave: scientificOctave(second.note.octave + octave) }
        const changed = {
          ...zither,
          positions: zither.positions.map((p) => (p.number === second.number ? { ...p, note } : p)),
        }
        const step = told(changed, first.number).steps.find(({ key }) => key === 'to-pitch')!
        const [a, b] = pair.map(({ number }) =>
          restPitch(changed, changed.positions.find((p) => p.number === number) as StringPosition),
        )
        const same = a === b
        const pitches = step.figures.filter(({ label }) => label.startsWith('Pitch'))
        expect(pitches.length).toBe(same ? 1 : 2)
        expect(step.figures.filter(({ label }) => label.startsWith('Turn the key')).length).toBe(
          pitches.length,
        )
        if (same) return
        expect(new Set(pitches.map(({ measure }) => measure.value)).size).toBe(2)
        const all = lines([step])
        for (const { called } of pair)
          expect(all.some((line) => line.endsWith(`Now string ${called.number}.`))).toBe(true)
      },
    ),
    { numRuns: 60 },
  )
})

test('a scroll head: the hole along the instrument, over the top and back toward the body', () => {
  const { steps } = told(on('orris'), 1)
  expect(
    missing(steps, {
      O4: /^set-pin: Turn the knob until the hole lies along the instrument, level with it/,
      'O5 tip': /^set-pin: Tip the hole up a little to catch the end/,
      O2: /^hook-loop: Hook the loop over its hitch pin/,
      O5: /^thread-pin: Put the end over the top of the pin and back through, toward the body/,
      O3: /^thread-pin: Hold the slack: an elbow, a friend or the other hand/,
      O7: /^wind: Lay the string in its nut slot and its bridge slot/,
      'O7 turn': /^wind: Turn its knob (anti)?clockwise/,
    }),
  ).toEqual([])
})

test('what lies over a pin is loosened into a neighbour’s slot; where nothing does, nothing is moved', () => {
  for (const { number } of on('orris').positions) {
    const { steps, context } = told(on('orris'), number)
    const aside = steps.find(({ key }) => key === 'move-aside')
    expect(aside !== undefined).toBe(context.above.length > 0)
    if (aside)
      expect(
        missing([aside], {
          O8: /^move-aside: Loosen string \d a few turns, (anti)?clockwise, seen from the knob/,
          'O8 slot': /^move-aside: Lay it into a neighbour’s nut slot/,
          'O8 wraps': /^move-aside: Keep two wraps or more on the pin/,
        }),
      ).toEqual([])
  }
})

test('a direct tuner that slips is looked at by its screw and washer (O9); a wire’s S needs no lock (O6)', () => {
  const { context } = told(on('orris'), 2)
  const slipped = waysBack(context, 'to-pitch').find(({ mishap }) => mishap === 'slipped')!
  expect(slipped.todo.map(text).join(' ')).toMatch(/friction screw and washer/)
  expect(
    missing(told(on('orris'), 2, { lock: 'kinked both sides' }).steps, {
      O6: /^thread-pin: Draw it snug/,
      'O6 kinks': /^thread-pin: Kink the end on one side of the pin\. Bring it back and kink the other/,
      'O6 S': /^thread-pin: That makes an S and needs no lock\. Snip the end close/,
    }),
  ).toEqual([])
})

// O1
test('a whole set: all off, then in the order in which the pins are passed; no new wire is loosened again', () => {
  const members = on('orris').positions.map(({ number }) => {
    const { context, steps } = told(on('orris'), number, {}, { site: null })
    return { id: number, context, steps }
  })
  const together = stepsTogether(members, 'longest first')
  const at = (key: string) =>
    together.flatMap(({ step, members: ids }, i) => (step.key === key ? [[i, ids[0]]] : []))
  const off = at('take-off').map(([i]) => i!)
  const on_ = at('wind')
  expect(Math.max(...off)).toBeLessThan(on_[0]![0]!)
  const roles = on_.map(([, id]) => on('orris').positions[id! - 1]!.called.role)
  expect(roles).toEqual(['first melody', 'bass', 'second melody', 'middle'])
  expect(together.map(({ step }) => step.key)).not.toEqual(
    expect.arrayContaining([expect.stringMatching(/^(move-aside|put-back)$/)]),
  )
})

test('an S is a wire’s way: nylon and gut are never told to be kinked, wires are where the method says so', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions) {
      const { steps, figures } = told(instrument, number, { lock: 'kinked both sides' })
      const kinked = lines(steps).some((line) => /makes an S/.test(line))
      const wire = /steel|brass|bronze|copper/.test(JSON.stringify(figures.construction))
      if (kinked) expect(wire).toBe(true)
    }
  expect(
    lines(told(on('bistort'), 3, { lock: 'kinked both sides' }).steps).some((line) =>
      /makes an S/.test(line),
    ),
  ).toBe(true)
})
