import { readShelf } from '@/data/demo/shelf-files'
import { positionAt } from '../instrument/instrument'
import { tailFacts } from '../knots/fastenings'
import { measure, say } from '../measure'
import { BREAK_SITES, siteFacts, sitesFor, siteWord, suspectedAt } from './break-sites'

const { instruments } = readShelf('demo')
const on = (slug: string, number: number) =>
  positionAt(
    instruments.find((i) => i.slug === slug)!,
    number,
  )
const pedal = on('lovage', 22)
const lever = on('fennel', 14)
const posts = on('teasel', 9)

test('every site has a suspect and a remedy in sentences, and they name no part that is not there', () => {
  for (const { positions } of instruments)
    for (const position of positions)
      for (const site of sitesFor(position)) {
        const { suspect, remedy } = suspectedAt(site, position)
        for (const sentence of [suspect, remedy]) expect(sentence).toMatch(/^[A-Z].*\.$/)
        const both = `${suspect} ${remedy}`
        const { mechanism, tail } = position
        if (tail.eyeletBore === null) expect(both).not.toMatch(/eyelet/)
        if (tail.fastening !== 'loop on a hitch pin') expect(both).not.toMatch(/hitch pin/)
        if (mechanism !== 'lever') expect(both).not.toMatch(/lever/)
        if (mechanism !== 'disc') expect(both).not.toMatch(/disc/)
        if (!['knot', 'bead', 'toggle'].includes(tailFacts(tail.fastening).hold))
          expect(both).not.toMatch(/knot|anchor/)
      }
})

test('only a slip and a knot pulled through leave the string whole', () => {
  expect(BREAK_SITES.filter((site) => !siteFacts(site).broke)).toEqual(['knot pulled through', 'slipped'])
})

test('a string can give way only where it has such a place', () => {
  expect(sitesFor(pedal)).toEqual(BREAK_SITES)
  expect(sitesFor({ ...pedal, mechanism: null })).not.toContain('lever or disc')
  expect(sitesFor(posts)).toEqual([
    'tuning pin hole',
    'wraps',
    'bridge pin',
    'mid-length',
    'soundboard',
    'slipped',
  ])
})

test('a site is told in the words of the instrument', () => {
  expect(siteWord('lever or disc', pedal)).toBe('At the disc')
  expect(siteWord('lever or disc', lever)).toBe('At the lever')
  expect(siteWord('soundboard', pedal)).toBe('At the soundboard')
  expect(siteWord('soundboard', posts)).toBe('At the bridge or hitch post')
  expect(siteWord('soundboard', on('bistort', 3))).toBe('At the bridge or hitch pin')
  expect(siteWord('soundboard', on('yarrow', 3))).toBe('At the foot')
  expect(siteWord('bridge pin', on('yarrow', 3))).toBe('At the bridge')
  expect(siteWord('bridge pin', posts)).toBe('At the upper bridge')
  expect(siteWord('bridge pin', on('lovage', 3))).toBe('At the bridge pin')
})

test('a phrase keeps its figures as figures', () => {
  expect(say`Leave ${measure('length', 0.066)} of slack.`).toEqual([
    'Leave ',
    { quantity: 'length', value: 0.066 },
    ' of slack.',
  ])
  expect(say`${measure('wraps', 3)}`).toEqual([{ quantity: 'wraps', value: 3 }])
  expect(say`Turn the key ${'clockwise'}.`).toEqual(['Turn the key ', 'clockwise', '.'])
})
