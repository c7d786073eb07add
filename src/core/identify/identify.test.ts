import { readShelf } from '@/data/demo/shelf-files'
import fc from 'fast-check'
import { calibrate } from '../../../scripts/science/identify'
import { gaugeOf, positionAt } from '../instrument/instrument'
import type { Clue } from './clue'
import { clueKey } from './clue'
import { nextClues } from './next-clue'
import { chanceBelow } from '../random/normal'
import { contradicting, entropy, posterior, ranking } from './posterior'
import { readClues } from './read-clues'
import { chartedWords, clueWords } from './tell'

const { instruments } = readShelf('demo')
const on = (slug: string) => instruments.find((i) => i.slug === slug)!
const bench = { unit: 'mm', gaugeError: 1e-5, referenceA: 440, longestIsLeft: true } as const
const read = (text: string) => readClues(text, bench)
const first = (slug: string, text: string) => ranking(on(slug), read(text).clues)[0]!
const text = (phrase: ReturnType<typeof clueWords>) =>
  phrase.map((p) => (typeof p === 'string' ? p : p.value.toPrecision(4))).join('')

describe('weighing', () => {
  test('no clue, no knowledge: every string alike', () => {
    for (const instrument of instruments) {
      expect(
        posterior(instrument, []).every((p) => Math.abs(p - 1 / instrument.positions.length) < 1e-12),
      ).toBe(true)
      expect(2 ** entropy(posterior(instrument, []))).toBeCloseTo(instrument.positions.length, 6)
    }
  })

  test('chances sum to one and never depend on the order of the clues', () => {
    const pool = read(
      'thin, clear, red, two below a blue one, springs back, slick, cold, 0.77 mm, 400 mm, 12 from the top, the next longer sounds G4, the next shorter is gut',
    ).clues
    fc.assert(
      fc.property(fc.shuffledSubarray([...pool]), fc.constantFrom(...instruments), (clues, instrument) => {
        const chances = posterior(instrument, clues)
        expect(chances.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9)
        posterior(instrument, [...clues].reverse()).forEach((p, i) => expect(p).toBeCloseTo(chances[i]!, 9))
      }),
    )
  })

  test('“thin, clear, two below a blue one, springs back” leads to the right string of Fennel', () => {
    const { position, chance } = first('fennel', 'thin, clear, two below a blue one, springs back')
    expect([position.note.letter, position.note.octave, position.number]).toEqual(['D', 6, 4])
    expect(chance).toBeGreaterThan(0.5)
    const [next] = nextClues(
      on('fennel'),
      read('thin, clear, two below a blue one, springs back').clues,
      1e-5,
    )
    expect(next!.between.then).toBeLessThan(1.5)
    expect(first('fennel', 'thin, clear, two below a blue one, springs back, no. 4').chance).toBeGreaterThan(
      0.95,
    )
  })

  test('a worn gut string that measures thin is known for what it is', () => {
    const a = positionAt(on('lovage'), 22)
    const worn: Clue = { kind: 'gauge', measured: gaugeOf(a) * 0.975, error: 1e-5, worn: true }
    expect(ranking(on('lovage'), [worn, { kind: 'look', seen: 'grain' }])[0]!.position.number).toBe(22)
    const wire = positionAt(on('bryony'), 20)
    const exact: Clue = { kind: 'gauge', measured: gaugeOf(wire), error: 1e-5, worn: true }
    expect(gaugeOf(ranking(on('bryony'), [exact])[0]!.position)).toBeCloseTo(gaugeOf(wire), 6)
  })

  test('the clue that contradicts the rest is named, and sound clues are not', () => {
    const odd = read('two below a blue one, springs back, the next longer sounds C4, no. 18, 0.77 mm').clues
    expect(contradicting(on('fennel'), odd).map((i) => odd[i]!.kind)).toEqual(['gauge'])
    const sound = read('two below a blue one, springs back, the next longer sounds C4, no. 18').clues
    expect(contradicting(on('fennel'), sound)).toEqual([])
    const [best] = ranking(on('fennel'), odd)
    expect(best!.position.number).toBe(18)
    expect(best!.speaks).toEqual(['for', 'for', 'for', 'for', 'against'])
  })

  test('the next clue is one not yet given, told with a gain that shrinks as more is known', () => {
    const none = nextClues(on('lovage'), [], 1e-5)
    expect(none[0]!.settles).toBeGreaterThan(4)
    expect([...none].sort((a, b) => b.settles - a.settles)).toEqual(none)
    const given = read('no. 22').clues
    const some = nextClues(on('lovage'), given, 1e-5)
    expect(some.map((q) => q.kind)).not.toContain('counted')
    expect(some[0]!.settles).toBeLessThan(1.5)
    expect(nextClues(on('teasel'), [], 1e-5).map((q) => q.kind)).not.toContain('colour')
  })
})

test('stated chances mean what they say: what is called 80 % is right 76 to 84 times in a hundred', () => {
  const { rows, bands } = calibrate(instruments)
  expect(rows.reduce((sum, { cases }) => sum + cases, 0)).toBeGreaterThanOrEqual(2000)
  const eighty = bands.find(({ from }) => from === 76)!
  expect(eighty.cases).toBeGreaterThan(150)
  expect(eighty.right).toBeGreaterThan(0.76)
  expect(eighty.right).toBeLessThan(0.84)
  for (const { cases, stated, right } of bands)
    // A share of so many cases is itself known to one standard error.
    if (cases > 100) expect(Math.abs(stated - right)).toBeLessThan(0.045 + 0.5 / Math.sqrt(cases))
  for (const { top3 } of rows) expect(top3).toBeGreaterThan(0.7)
})

describe('typed clues', () => {
  test.each([
    ['thin', ['thickness']],
    ['clear', ['look', 'colour']],
    ['two below a blue one', ['coloured neighbour above']],
    ['3 above the red', ['coloured neighbour below']],
    ['just below a red string', ['coloured neighbour above']],
    ['no. 12', ['counted top']],
    ['12th from the bottom', ['counted bottom']],
    ['It was red', ['colour']],
    ['.034 in', ['gauge']],
    ['34 thou new', ['gauge']],
    ['0,86 mm, thin', ['gauge', 'thickness']],
    ['62 cm in all', ['pieces']],
    ['the next longer sounds 196 Hz', ['neighbour’s pitch longer']],
    ['the one above is gut', ['neighbour’s material shorter']],
    ['not cold; rasps', ['cold', 'nail']],
    ['the red one', ['colour']],
    ['next to a red one', ['beside colour']],
    ['second red from the left', ['colour counted bottom']],
    ['second red from the right', ['colour counted top']],
    ['nylon', ['look']],
    ['wound nylon', ['look']],
    ['die rote Saite', ['colour']],
    ['neben einer roten', ['beside colour']],
    ['Darm, dünn', ['look', 'thickness']],
    ['la corde rouge', ['colour']],
    ['à côté d’une noire', ['beside colour']],
    ['la corda rossa, spessa', ['colour', 'thickness']],
    ['junto a una roja', ['beside colour']],
    ['accanto a una rossa', ['beside colour']],
    ['cuerda negra; fría', ['colour', 'cold']],
  ])('%s', (typed, keys) => {
    const { clues, unread } = read(typed)
    expect(clues.map(clueKey)).toEqual(keys)
    expect(unread).toEqual([])
  })

  test('next to a red one is likelier for its two neighbours than for any other, and the second red is one string', () => {
    const lovage = on('lovage')
    const best = (typed: string) =>
      posterior(lovage, read(typed).clues)
        .map((chance, i) => ({ chance, number: i + 1 }))
        .sort((a, b) => b.chance - a.chance)
    const reds = lovage.positions.filter(({ colour }) => colour === 'red').map(({ number }) => number)
    const beside = new Set(
      reds.flatMap((n) => [n - 1, n + 1]).filter((n) => n >= 1 && n <= lovage.positions.length),
    )
    expect(
      new Set(
        best('next to a red one')
          .slice(0, beside.size)
          .map(({ number }) => number),
      ),
    ).toEqual(beside)
    expect(best('second red from the top')[0]!.number).toBe(reds[1])
    expect(best('second red from the left')[0]!.number).toBe(reds.at(-2))
  })

  test('what says nothing here is given back as it was typed', () => {
    expect(read('purple, thin, , Zero below a red one')).toMatchObject({
      unread: ['purple', 'Zero below a red one'],
      clues: [{ kind: 'thickness' }],
    })
  })

  test('every clue is told in words, and so is what the chart has', () => {
    const { clues } = read(
      'thin, clear, red, two below a blue one, springs back, slick, cold, 0.77 mm, 400 mm, 12 from the top, the next longer sounds G4, the next shorter is gut',
    )
    for (const clue of clues) {
      for (const p of on('fennel').positions)
        expect(text(chartedWords(clue, p, on('fennel')))).not.toMatch(/undefined|NaN/)
    }
    expect(text(clueWords(clues.find((c) => c.kind === 'coloured neighbour')!))).toBe(
      'two below a black or blue one',
    )
  })
})

test('the normal distribution, at known places', () => {
  expect(chanceBelow(0)).toBeCloseTo(0.5, 6)
  expect(chanceBelow(1.96)).toBeCloseTo(0.975, 4)
  expect(chanceBelow(-1)).toBeCloseTo(0.158655, 5)
})
