/** Kit harps: moves B1, B3, B6, C1, C2, C6, C7, C8 and K8, K9. */
import { positionAt, restPitch } from '../../instrument/instrument'
import { Batches } from '../../restring/batch'
import { goesFromBare } from '../../restring/from-bare'
import { piecesOf } from '../../restring/piece'
import { everyInstrument, lines, missing, on, own, text, told } from './told'

/** A lap harp of a size whose lowest strings are wound. */
const large = own('lap harp', 'A2 to C6')
const beaded = [...everyInstrument, large].flatMap((instrument) =>
  instrument.positions
    .filter(({ tail }) => tail.fastening === 'overhand on a bead')
    .map(({ number, construction }) => ({ instrument, number, kind: construction.kind })),
)

test('wound strings go in from inside, plain ones from the front, within one harp', () => {
  expect(new Set(beaded.map(({ kind }) => kind)).size).toBe(2)
  for (const { instrument, number, kind } of beaded) {
    const keys = told(instrument, number).steps.map(({ key }) => key)
    const knotFirst = keys.indexOf('tie-knot') < keys.indexOf('through-board')
    expect([instrument.name, number, knotFirst]).toEqual([instrument.name, number, kind === 'wound'])
  }
})

test('a bead is pulled hard against the board before the glue', () => {
  for (const { instrument, number } of beaded.slice(0, 8))
    expect(
      missing(told(instrument, number).steps, {
        C2: /^make-ready: For work inside, lay the harp on a table/,
        'C2 floor': /^make-ready: For the pins, stand it on the floor/,
        K9: /^tie-knot: Put the bead on the string/,
        'K9 knot': /^tie-knot: Tie an overhand knot behind it, and draw it tight/,
        'K9 pull': /^seat: Pull hard by hand until the bead sits and gives no more/,
        'K9 glue': /^seat: Then put half a drop of thin cyanoacrylate on the knot/,
      }).filter((one) => !/^K9( knot)?:/.test(one)),
    ).toEqual([])
})

test('toggles: an end that slides, drawn up on the toggle’s middle', () => {
  expect(
    missing(told(own('wire-strung harp'), 5).steps, {
      K8: /^tie-knot: Put the end round the string\. Knot it so that it slides/,
      'K8 toggle': /^tie-knot: Put the toggle into the loop, and draw the loop up on its middle/,
      'K8 home': /^seat: Pull hard by hand until the toggle sits/,
    }),
  ).toEqual([])
})

test('loop knots of a kit: the heaviest first, set by a tug, a low note, the knot looked at', () => {
  const harp = own('wire-strung harp')
  const bench = {
    pieces: piecesOf(harp),
    changed: piecesOf(harp),
    allowed: { share: 0.85, shift: 1 },
    tolerance: 15,
    lost: () => 0,
  }
  const order = goesFromBare(harp, new Batches(bench), 120).flat()
  const pitches = order.map((id) => restPitch(harp, positionAt(harp, id)))
  // B2
  expect(pitches).toEqual(pitches.toSorted((a, b) => a - b))
  const { steps } = told(
    on('borage'),
    9,
    { cutting: 'on the instrument, then wind' },
    { restring: 'from bare' },
  )
  expect(
    missing(steps, {
      B4: /^seat: (Wrap the string round a gloved hand|Pull hard by hand until the knot sits)/,
      B5: /^mark: Mark it this far past the pin\. Cut there/,
      B7: /^to-half: Bring it up to the octave below its pitch/,
      'B7 slipped': /^to-half: Stretch it once by hand\. Look whether its knot slipped/,
    }),
  ).toEqual([])
  // B8: toggles of the thickest string; C4: wound ones are brought to a low clear tone, no more.
  for (const { number } of harp.positions.filter(({ tail }) => tail.fastening === 'slip knot on a toggle'))
    expect(lines(told(harp, number).steps).join('\n')).toMatch(/toggle/)
  const half = told(large, large.positions.length, {}, { restring: 'from bare' }).steps.find(
    ({ key }) => key === 'to-half',
  )!
  expect(text(half.right)).toMatch(/^It gives a low, clear note/)
  expect(lines([half]).join('\n')).toMatch(/Stop there until every string that is on has come so far/)
})

test('what is said about the lie of the wraps agrees with the lock', () => {
  const wound = (lock: 'second wrap crossed') => lines(told(on('chervil'), 3, { lock }).steps)
  const crossed = wound('second wrap crossed').filter((line) => line.startsWith('wind:'))
  expect(crossed.join('\n')).toMatch(/In the second turn draw it outward, across the first/)
  expect(crossed.join('\n')).not.toMatch(/side by side|beside the last/)
  const above = lines(
    told(on('lovage'), 5, { windToward: 'above, below, above the hole', lock: 'none' }).steps,
  ).filter((line) => line.startsWith('wind:'))
  expect(above.join('\n')).toMatch(/first turn above the hole.*\n.*second below it.*\n.*rest above it again/)
  expect(above.join('\n')).not.toMatch(/side by side|beside the last/)
})
