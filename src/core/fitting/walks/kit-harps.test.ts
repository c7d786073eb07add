/** Kit harps: moves B1, B3, B6, C1, C2, C6, C7, C8 and K8, K9. */
import { everyInstrument, lines, missing, on, own, told } from './told'

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
      K8: /^tie-knot: Take the end without a label\. Tie it round the string so that it slides/,
      'K8 toggle': /^tie-knot: Put the toggle into the loop, and draw the loop up on its middle/,
      'K8 home': /^seat: Pull hard by hand until the toggle sits/,
    }),
  ).toEqual([])
})

test('what is said about the lie of the wraps agrees with the lock', () => {
  const wound = (lock: 'second wrap crossed') => lines(told(on('chervil'), 3, { lock }).steps)
  const crossed = wound('second wrap crossed').filter((line) => line.startsWith('wind:'))
  expect(crossed.join('\n')).toMatch(/In the second turn draw it outward, across the first/)
  expect(crossed.join('\n')).not.toMatch(/side by side|beside the last/)
  const above = lines(
    told(on('lovage'), 5, { windToward: 'above, below, above the hole', lock: 'none' }).steps,
  ).filter((line) => line.startsWith('wind:'))
  expect(above.join('\n')).toMatch(/Wind once above the hole, once below it, and then above/)
  expect(above.join('\n')).not.toMatch(/side by side|beside the last/)
})
