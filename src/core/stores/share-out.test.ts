import fc from 'fast-check'
import { shareOut } from './share-out'

test('three of a gauge are wanted, the fourth is spare', () => {
  const wanted = [
    { who: '4th D', key: 'a', strings: 1 },
    { who: '4th E', key: 'a', strings: 2 },
    { who: '4th C', key: 'b', strings: 1 },
  ]
  expect(
    shareOut(
      [
        { keys: ['a'], pieces: 4 },
        { keys: ['c'], pieces: 2 },
        { keys: ['b'], pieces: 1 },
      ],
      wanted,
    ),
  ).toEqual([
    {
      goes: [
        { who: '4th D', strings: 1 },
        { who: '4th E', strings: 2 },
      ],
      spare: 1,
    },
    { goes: [], spare: 2 },
    { goes: [{ who: '4th C', strings: 1 }], spare: 0 },
  ])
})

test('what fills more than one kind is kept for what nothing else fills', () => {
  const [both, one] = shareOut(
    [
      { keys: ['a', 'b'], pieces: 1 },
      { keys: ['a'], pieces: 1 },
    ],
    [
      { who: 'x', key: 'a', strings: 1 },
      { who: 'y', key: 'b', strings: 1 },
    ],
  )
  expect([both?.goes[0]?.who, one?.goes[0]?.who]).toEqual(['y', 'x'])
})

test('nothing is given twice and nothing is lost', () => {
  const key = fc.constantFrom('a', 'b', 'c')
  fc.assert(
    fc.property(
      fc.array(fc.record({ keys: fc.uniqueArray(key, { minLength: 1 }), pieces: fc.nat(5) })),
      fc.array(fc.record({ who: fc.nat(), key, strings: fc.nat(5) })),
      (contents, wanted) => {
        const shared = shareOut(contents, wanted)
        contents.forEach(({ pieces }, i) => {
          const given = shared[i]!.goes.reduce((sum, { strings }) => sum + strings, 0)
          expect(given + shared[i]!.spare).toBe(pieces)
        })
        const given = shared.flatMap(({ goes }) => goes).reduce((sum, { strings }) => sum + strings, 0)
        expect(given).toBeLessThanOrEqual(wanted.reduce((sum, { strings }) => sum + strings, 0))
      },
    ),
  )
})
