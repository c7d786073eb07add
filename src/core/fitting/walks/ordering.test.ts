/** Ordering by telephone: moves Q1 to Q3. What is said, in which order; that it is understood; and which packet may be right. */
import { makeLine } from '../../instrument/about-line'
import { positionAt, soldByClass } from '../../instrument/instrument'
import { spokenLine } from '../../instrument/names'
import { materialWord, surfaceMaterial } from '../../strings/construction'
import { findOnShelf } from '../../names/find-on-shelf'
import { everyInstrument, lines, on, own, shelf, told } from './told'

test('maker and model first, then octave and letter, then material, then class', () => {
  const lovage = on('lovage')
  expect(spokenLine(lovage, lovage.positions[21]!)).toBe(
    'Windrush Bench, Great Lantern 47, 3rd-octave G, gut, concert tension',
  )
  for (const instrument of everyInstrument)
    for (const position of instrument.positions) {
      const line = spokenLine(instrument, position)
      const places = [
        makeLine(instrument) || `a ${instrument.family}`,
        materialWord(position.construction),
        soldByClass(instrument) === null ? ' end' : ' tension',
      ].map((part) => line.lastIndexOf(part))
      expect([line, places[0]]).toEqual([line, 0])
      expect([line, places.toSorted((a, b) => a - b)]).toEqual([line, places])
      expect(line).not.toMatch(/, ,|undefined|null|NaN/)
    }
})

test('whoever hears maker, model, name and material finds that very string among all instruments', () => {
  let said = 0
  for (const instrument of shelf.filter(({ model }) => model !== ''))
    for (const position of instrument.positions) {
      const [, name] = spokenLine(instrument, position).split(makeLine(instrument))
      const spoken = `${instrument.model} ${name?.split(', ').slice(1, 2).join(' ')}`
      const found = findOnShelf(spoken, shelf)
      // Two strings of one name are asked back, and a wire that is two is found once.
      const pieces = found.map(({ slug, number }) => `${slug} ${positionAt(on(slug), number).piece}`)
      expect([spoken, pieces]).toEqual([
        spoken,
        expect.arrayContaining([`${instrument.slug} ${position.piece}`]),
      ])
      for (const one of found) expect([spoken, one.slug]).toEqual([spoken, instrument.slug])
      said += 1
    }
  expect(said).toBeGreaterThan(100)
})

test('a big harp’s packet is allowed for a small harp of its class, and nowhere else', () => {
  const SAYS = /^prove: A big harp’s packet of this class may be right for a small harp\./
  for (const instrument of [...everyInstrument, own('lever harp')]) {
    const [position] = instrument.positions
    const all = lines(told(instrument, position!.number).steps)
    const isSmall =
      soldByClass(instrument) !== null &&
      instrument.family !== 'pedal harp' &&
      !surfaceMaterial(position!.construction).wire
    expect([instrument.family, all.some((line) => SAYS.test(line))]).toEqual([instrument.family, isSmall])
  }
})
