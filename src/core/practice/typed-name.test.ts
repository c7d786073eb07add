/** Names as they are typed for a string that broke: read as everywhere, and explained. */
import { readShelf } from '@/data/demo/shelf-files'
import { positionAt } from '../instrument/instrument'
import { leadingNames } from '../instrument/names'
import { typedName } from './typed-name'

const { instruments } = readShelf('demo')
const of = (slug: string, number: number) => {
  const instrument = instruments.find((one) => one.slug === slug)!
  const position = positionAt(instrument, number)
  return (text: string) => typedName(instrument, position, 'as its players do', text)
}

test('on every string its own name is right, its neighbour’s and the other octave’s are explained', () => {
  for (const { slug, positions } of instruments)
    for (const position of positions) {
      const typed = of(slug, position.number)
      const { name } = leadingNames(position)
      expect([slug, name, typed(name)?.mistake]).toEqual([slug, name, null])
      const beside = positions.find((p) => p.number === position.number + 1 && p.piece !== position.piece)
      if (!beside) continue
      const wrong = typed(leadingNames(beside).name)
      expect([slug, name, wrong?.brings]).toEqual([slug, name, beside.number])
      expect(wrong?.teaches).toContain(name)
    }
})

test('an octave counted from the wrong end is caught, a bare letter and number told to mean two, and nonsense named', () => {
  // The third G of a harp is G4 in scientific pitch; G4 by itself is also the harp's fourth G.
  const typed = of('lovage', 22)
  expect(
    leadingNames(
      positionAt(
        instruments.find((one) => one.slug === 'lovage')!,
        22,
      ),
    ).name,
  ).toBe('3rd-octave G')
  expect(typed('4th-octave G')).toMatchObject({ mistake: 'octave counted from the bass', brings: 29 })
  expect(typed('G4')).toMatchObject({ mistake: 'a name that means several strings' })
  expect(typed('G4 scientific')?.mistake).toBeNull()
  expect(typed('third octave g')?.mistake).toBeNull()
  expect(() => typed('a spoon')).toThrow(/is not a string's name/)
  expect(() => typed('')).toThrow(RangeError)
})
