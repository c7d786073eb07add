/** Knots as hands tie them, in the step of a fitting: moves K1 to K10 and A1 to A3, for either hand. */
import type { Habits } from '../habits'
import { KNOTS, TAIL_FASTENINGS, tailFacts } from '../../knots/fastenings'
import { handMoves } from '../../knots/hand-moves'
import { everyInstrument, lines, missing, on, own, sentencesOf, told } from './told'

const lovage = (knot: Habits['knot'], habits: Partial<Habits> = {}, number = 22) =>
  told(on('lovage'), number, { knot, ...habits }).steps

test('a U and a crossed loop: laid, put over, and drawn down round the anchor', () => {
  expect(
    missing(lovage('two-loop, open bight'), {
      K1: /^tie-knot: Lay the end to the left/,
      'K1 U': /^tie-knot: Left hand: bend a U that crosses nothing/,
      'K1 loop':
        /^tie-knot: Right hand: lay a loop of the long part that crosses itself, the crossing toward you/,
      'K1 over': /^tie-knot: Lay the right loop over the U, its crossing inward\. Thumb on the crossing/,
      A2: /^tie-knot: Put an anchor of old gut through the first loop, as far as its middle/,
      'A2 end': /^tie-knot: Its end goes behind the bight/,
      'K1 down': /^tie-knot: Draw the crossed loop down round the U: feed, wrap, pull/,
    }),
  ).toEqual([])
})

test('twice over, twice behind, a third loop: each its own moves, and the anchor before it is drawn down', () => {
  expect(
    missing(lovage('two-loop, crossed'), {
      K2: /^tie-knot: Lay the long part over the short end: the first loop\. Press it small/,
      'K2 second': /^tie-knot: Lay the long part again, over what leads to that loop/,
      'K2 over': /^tie-knot: Turn the second loop\. Slip it over the first/,
      A2: /^tie-knot: Put an anchor/,
      'K2 down': /^tie-knot: Draw it down: a half hitch round the first loop/,
    }),
  ).toEqual([])
  expect(
    missing(lovage('two-loop, crossed, behind'), {
      K3: /^tie-knot: A thumb’s breadth from the end, pass the long part behind the short end/,
      'K3 again': /^tie-knot: Pass it behind again, larger/,
      'K3 lift': /^tie-knot: Lift the large loop over the small one/,
      A2: /^tie-knot: Put an anchor/,
      'K3 springs': /^tie-knot: Hold everything, it springs/,
    }),
  ).toEqual([])
  expect(
    missing(lovage('third loop'), {
      K1: /^tie-knot: Left hand: bend a U/,
      A2: /^tie-knot: Put an anchor/,
      K4: /^tie-knot: Loop the long part once more\. Lay it over all of it/,
    }),
  ).toEqual([])
})

test('loop through loop: from behind, one loop is left standing, the anchor goes through it and the tag is trimmed', () => {
  expect(
    missing(told(on('borage'), 3).steps, {
      K5: /^tie-knot: A hand’s breadth and a half from the end, cross the short end on top/,
      'K5 pinch': /^tie-knot: .*Left hand: pinch it where it crosses/,
      'K5 ear': /^tie-knot: Right hand: make a second loop of the short end, like an ear/,
      'K5 behind': /^tie-knot: Put the right loop through the left one from behind/,
      'K5 stands': /^tie-knot: Pinch it\. Pull the other side until one loop stands/,
      'K5 anchor': /^tie-knot: Put an anchor of old gut through the standing loop, level/,
      'K5 pliers': /^tie-knot: Hold the tag with pliers and pull the long part/,
      'K5 tag': /^tie-knot: Trim the tag to a thumb’s breadth/,
    }),
  ).toEqual([])
})

test('knots round an anchor, on a toggle and on a bead', () => {
  expect(
    missing(lovage('half knot and anchor'), {
      K6: /^tie-knot: Begin as for a shoe, with a half knot/,
      'K6 eye': /^tie-knot: Leave it open\. Put an anchor of old gut into its eye/,
      'K6 long': /^tie-knot: Draw it shut with the long side/,
      'K6 over': /^tie-knot: Lay a loop of the long side over the anchor/,
    }),
  ).toEqual([])
  expect(
    missing(lovage('twisted loop', { anchor: 'dowel' }), {
      K7: /^tie-knot: Make a loop, with half a thumb’s length to spare/,
      'K7 twist': /^tie-knot: Hold its base, and give it one twist/,
      'K7 back': /^tie-knot: Put the short end back through it/,
      'K7 anchor': /^tie-knot: Put a dowel anchor into the twisted loop\. Pull both ends/,
      'K7 once more': /^tie-knot: Lay one more loop of the long side round the anchor/,
    }),
  ).toEqual([])
  expect(
    missing(told(on('bryony'), 2).steps, {
      K8: /^tie-knot: Put the end round the string\. Knot it so that it slides/,
      'K8 toggle': /^tie-knot: Put the toggle into the loop, and draw the loop up on its middle/,
    }),
  ).toEqual([])
  expect(
    missing(told(on('chervil'), 3).steps, {
      K9: /^tie-knot: Put the bead on the string/,
      'K9 knot': /^tie-knot: Tie an overhand knot behind it, and draw it tight/,
    }),
  ).toEqual([])
})

test('a thick bass is set by one hard tug in a gloved hand; a string that fingers can draw up is not', () => {
  const tug = (number: number, habits: Partial<Habits> = {}) =>
    lines(lovage('as charted', habits, number)).some((line) =>
      /^seat: .*gloved hand.*one hard tug/.test(line),
    )
  const gut = on('lovage').positions.filter(
    ({ construction: c }) => c.kind === 'plain' && c.material === 'gut',
  )
  for (const { number, construction: c } of gut)
    expect([number, tug(number)]).toEqual([number, c.kind === 'plain' && c.gauge > 1.8e-3])
  expect(gut.some(({ number }) => tug(number))).toBe(true)
  expect(gut.some(({ number }) => tug(number, { knotSet: 'drawn up by tuning' }))).toBe(false)
})

test('for the left hand every move is the mirror image: the hands change as the sides do', () => {
  const moves = (hand: Habits['hand'], knot: Habits['knot']) =>
    lines(lovage(knot, { hand })).filter((line) => line.startsWith('tie-knot:'))
  const swap: Record<string, string> = { left: 'right', right: 'left', Left: 'Right', Right: 'Left' }
  for (const knot of KNOTS)
    expect(moves('left', knot)).toEqual(
      moves('right', knot).map((line) => line.replace(/\b(left|right)\b/gi, (side) => swap[side] as string)),
    )
})

test('whatever is knotted has its moves, none longer than sixteen words; what comes ready-made has none', () => {
  for (const fastening of TAIL_FASTENINGS) {
    const moves = handMoves(fastening)
    expect([fastening, moves !== null]).toEqual([
      fastening,
      ['knot', 'bead', 'toggle'].includes(tailFacts(fastening).hold),
    ])
    for (const sentence of [...(moves?.lays ?? []), ...(moves?.draws ?? [])].flatMap(sentencesOf))
      expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(16)
  }
})

test('no step of any instrument asks for a knot by a name of older records', () => {
  for (const instrument of [...everyInstrument, own('lyre', 'C3 to C5')])
    for (const { number } of instrument.positions)
      expect(lines(told(instrument, number).steps).filter((line) => /loop and through/.test(line))).toEqual(
        [],
      )
})
