import { readShelf } from '@/data/demo/shelf-files'
import { positionAt } from './instrument'
import { layersOver } from './layers'

const { instruments } = readShelf('demo')
const on = (slug: string) => instruments.find((i) => i.slug === slug)!
const over = (slug: string, number: number) =>
  layersOver(on(slug), positionAt(on(slug), number)).map((p) => p.number)

test('what lies over a string of a layered foot comes off outermost first, and the other foot is left alone', () => {
  expect(over('yarrow', 7)).toEqual([4, 5, 6])
  expect(over('yarrow', 5)).toEqual([4])
  expect(over('yarrow', 3)).toEqual([1, 2])
  expect(over('yarrow', 1)).toEqual([])
})

test('on a scroll the strings of pins further up pass over the pins before them', () => {
  expect(over('orris', 1)).toEqual([3, 2, 4])
  expect(over('orris', 3)).toEqual([])
})

test('layers in a circle are refused', () => {
  const wrong = {
    ...on('orris'),
    coverings: [
      { over: 1, under: 2 },
      { over: 2, under: 1 },
    ],
  }
  expect(() => layersOver(wrong, positionAt(wrong, 1))).toThrow('run in a circle')
})
