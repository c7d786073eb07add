/** Before the concert, and why it broke: moves P1 to P4, in steps, signs and causes. */
import { isOnFoot } from '../../knots/fastenings'
import { suspectedAt, siteWord, sitesFor } from '../../wear/break-sites'
import { signFacts, signsFor } from '../../wear/signs'
import { hasBridgePin, hasEyelet, hasHitchPin } from '../parts'
import { everyInstrument, lines, missing, on, own, text, told } from './told'

const everyString = everyInstrument.flatMap((instrument) =>
  instrument.positions.map((position) => ({ instrument, position })),
)
const inspected = (slug: string, number: number) =>
  lines(told(on(slug), number).steps).filter((line) => line.startsWith('inspect:'))

test('worn varnish and hairs say: damp, flat, next to break; and hairs are changed before the date', () => {
  const gut = on('lovage').positions.find(({ construction }) => construction.kind === 'plain' && construction.material === 'gut')! // prettier-ignore
  expect(signsFor(gut)).toEqual(expect.arrayContaining(['varnish worn', 'fraying']))
  expect(signFacts('varnish worn').means).toMatch(/frays next/)
  expect(signFacts('fraying')).toMatchObject({ condition: 'fraying', looks: expect.stringMatching(/^Hairs/) })
  expect(signFacts('fraying').means).toMatch(/Change it before it is needed/)
  // Nobody looks for varnish on wire.
  for (const { position } of everyString)
    if (position.construction.kind === 'plain' && position.construction.material !== 'gut')
      expect(signsFor(position)).not.toContain('varnish worn')
})

test('each place that the string passes is felt: pin hole, bridge pin, lever, eyelet, where it has them', () => {
  const places = own('lever harp').positions[9]!
  expect([hasBridgePin(places), places.mechanism, hasEyelet(places)]).toEqual([true, 'lever', true])
  const said = lines(told(own('lever harp'), 10).steps).join('\n')
  expect(said).toMatch(/inspect: Feel for burrs at the pin hole, the bridge pin, the lever and the eyelet\./)
  for (const { instrument, position } of everyString) {
    const felt = lines(told(instrument, position.number).steps).find((line) => /Feel for burrs at/.test(line))
    expect([instrument.name, /eyelet/.test(felt ?? '')]).toEqual([instrument.name, hasEyelet(position)])
    expect([instrument.name, /hitch pin/.test(felt ?? '')]).toEqual([instrument.name, hasHitchPin(position)])
    expect([instrument.name, /lever/.test(felt ?? '')]).toEqual([
      instrument.name,
      position.mechanism === 'lever',
    ])
  }
})

test('a soft cord with mild polish, along the string’s own path; a hand behind the board only at an eyelet', () => {
  expect(
    missing(told(on('lovage'), 22).steps, {
      P3: /^inspect: Polish a burr with a soft cord and mild polish/,
      'P3 path': /^inspect: Draw the cord back and forth along the string’s own path/,
      'P3 hand': /^inspect: At the eyelet, keep a hand behind the board/,
    }),
  ).toEqual([])
  expect(inspected('bistort', 3).join('\n')).not.toMatch(/hand behind/)
})

test('what is suspected names only parts that the instrument has, for every site of every string', () => {
  let seen = 0
  for (const { instrument, position } of everyString)
    for (const site of sitesFor(position)) {
      seen += 1
      const { suspect, remedy } = suspectedAt(site, position)
      const all = `${siteWord(site, position)} ${suspect} ${remedy}`
      const of = `${instrument.name} ${position.number}: ${all}`
      if (!hasEyelet(position)) expect(of).not.toMatch(/eyelet/)
      if (!hasHitchPin(position)) expect(of).not.toMatch(/hitch pin/)
      if (!hasBridgePin(position)) expect(of).not.toMatch(/bridge pin/)
      if (isOnFoot(position)) expect(of).not.toMatch(/\bpin\b|wraps/)
      if (position.mechanism !== 'lever') expect(of).not.toMatch(/\blever/)
      if (position.mechanism !== 'disc') expect(of).not.toMatch(/\bdisc/)
    }
  expect(seen).toBeGreaterThan(1000)
})

test('the place that is suspected is said first, before any burr is felt for', () => {
  const { steps } = told(on('lovage'), 22, {}, { site: 'soundboard' })
  const said = steps.find(({ key }) => key === 'inspect')!.todo.map(text)
  expect(said[0]).toMatch(/^First suspect: /)
  expect(said.findIndex((one) => /^Feel for burrs/.test(one))).toBeGreaterThan(1)
})
