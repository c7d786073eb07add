/** The string chart: cells there and back, findings, lengths drawn through, and rebuilding against every other way. */
import fc from 'fast-check'
import { readShelf } from '@/data/demo/shelf-files'
import { note } from '../pitch/note'
import { outerGauge, type Construction } from '../strings/construction'
import { tension, utilisation } from '../strings/tension'
import { LENGTH_COLUMNS } from '../strings/written-lengths'
import { allIn, boundsIn, cellsOf, readCells } from './cells'
import { chartLine, withLine, type ChartLine } from './chart-line'
import { findings } from './findings'
import { fitLengths } from './fit-lengths'
import { readMake } from './material-text'
import { proposeChart } from './propose'
import { rebuildChart, type MakeOnOffer, type OpenPosition } from './rebuild'

const shelf = readShelf('demo').instruments
const lines = (slug: string) => shelf.find((i) => i.slug === slug)!.positions.map(chartLine)
const with_ = (slug: string, number: number, change: Partial<ChartLine>) =>
  lines(slug).map((line) => (line.number === number ? { ...line, ...change } : line))
const kinds = (chart: readonly ChartLine[]) =>
  findings(chart, 440).map(({ kind, numbers }) => `${kind} ${numbers[0]}`)

describe('cells', () => {
  const wound = { ...cellsOf(lines('lovage')[45]!, 'mm'), material: 'copper on nylon 6.12', bedding: '' }
  const woundAs = (gauge: string, core = '') => readCells({ ...wound, gauge, core, wrap: '' }, allIn('mm'))

  test.each([
    ['9.6', '', null],
    ['9.8', '', /core would be 6\.08 mm.* A core is 0\.05 to 6 mm/],
    ['0.106', '', null],
    ['0.104', '', /wrap would be|the wrap 0\.0198 mm/],
    ['10', '2.1', null],
    ['10', '1.9', /the wrap 4\.05 mm/],
  ])(
    'an outer gauge of %s over a core of “%s” makes a string that can be, or is told',
    (gauge, core, told) => {
      const { line, problems } = woundAs(gauge, core)
      if (told) expect([line?.construction, problems.gauge]).toEqual([null, expect.stringMatching(told)])
      else
        expect([outerGauge(line!.construction!) * 1e3, problems]).toEqual([
          expect.closeTo(Number(gauge), 6),
          {},
        ])
    },
  )

  test('a core and an outer gauge are not enough where something lies between core and wrap', () => {
    const { problems } = readCells(
      { ...wound, material: 'copper on silk on steel', gauge: '1.2', core: '0.4', wrap: '' },
      allIn('mm'),
    )
    expect(problems).toEqual({ bedding: expect.stringMatching(/needs its thickness/) })
  })

  test.each(shelf.map((i) => [i.name, i] as const))(
    'every line of %s reads back as it was written',
    (_, { positions }) => {
      for (const line of positions.map(chartLine))
        expect(readCells(cellsOf(line, 'mm'), allIn('mm'))).toEqual({ line, problems: {} })
    },
  )

  test.each(['mm', 'in'] as const)('what a column hints at in %s, its reader takes', (unit) => {
    const [line] = lines('bryony') as [ChartLine]
    const cells = cellsOf(line, unit)
    for (const column of LENGTH_COLUMNS) {
      const [, least, most] = /^(\S+) to (\S+) (mm|in)$/.exec(boundsIn(column, unit)!)!
      for (const text of [least!, most!]) {
        const { problems } = readCells(
          { ...cells, material: 'copper on silk on steel', [column]: text },
          allIn(unit),
        )
        expect([column, text, problems[column] ?? '']).not.toEqual([
          column,
          text,
          expect.stringContaining('can’t be right'),
        ])
      }
    }
  })

  test('in inches a length comes back to a hundred-thousandth of an inch', () => {
    for (const line of lines('lovage')) {
      const back = readCells(cellsOf(line, 'in'), allIn('in')).line!
      expect(Math.abs(back.speakingLength! - line.speakingLength)).toBeLessThan(1.3e-7)
      expect(back.note).toEqual(line.note)
    }
  })

  test.each([
    ['note', { note: 'J4' }, 'note'],
    ['number', { number: '4.5' }, 'number from the top|counted from the top'],
    ['colour', { colour: 'green' }, 'red, black, blue or natural'],
    ['material', { material: 'horsehair' }, 'such as “gut”'],
    ['gauge', { gauge: '86' }, 'can’t be right for a gauge'],
    ['free', { free: '90' }, 'longer than the speaking length'],
    ['core', { material: 'copper on steel', gauge: '', core: '', wrap: '0.3' }, 'needs its core'],
    [
      'gauge',
      { material: 'copper on steel', gauge: '1.2', core: '0.4', wrap: '0.3' },
      'make 1 mm, the gauge says 1.2 mm',
    ],
    ['speaking', { speaking: 'long' }, 'long'],
  ])('a wrong %s gets its sentence at its own cell', (column, change, sentence) => {
    const { problems } = readCells({ ...cellsOf(lines('fennel')[0]!, 'mm'), ...change }, allIn('mm'))
    expect(problems[column as 'note']).toMatch(new RegExp(sentence))
  })

  test('materials are read by their other words, and never guessed', () => {
    expect(readMake('Nylon')).toEqual({ kind: 'plain', material: 'nylon 6.12' })
    expect(readMake('copper over silk over music wire')).toEqual({
      kind: 'wound',
      wrap: 'copper',
      bedding: 'silk',
      core: 'steel',
    })
    expect(() => readMake('string')).toThrow('Expected a material')
    expect(() => readMake('gut on gut on gut on gut')).toThrow('Expected a material')
  })

  test('a changed line moves only what follows from it: the lower end stays, the lengths become the new ones', () => {
    const position = shelf[0]!.positions[20]!
    const moved = withLine(position, { ...chartLine(position), speakingLength: 0.31, freeLength: 0.4 })
    expect(moved.at.tail).toEqual(position.at.tail)
    expect(Math.hypot(moved.at.bridge.x - moved.at.tail.x, moved.at.bridge.y - moved.at.tail.y)).toBeCloseTo(
      0.31,
      9,
    )
    expect(withLine(position, chartLine(position))).toEqual(position)
  })
})

describe('findings', () => {
  test('the shelf’s own charts have nothing wrong in them', () => {
    for (const { positions, referenceA } of shelf)
      expect(
        findings(positions.map(chartLine), referenceA).filter(({ weight }) => weight === 'wrong'),
      ).toEqual([])
  })

  const gut = (gauge: number): Construction => ({ kind: 'plain', material: 'gut', gauge })
  test.each([
    ['materials that alternate', with_('fennel', 5, { construction: gut(0.8e-3) }), 'materials alternate 6'],
    ['a gauge that falls', with_('lovage', 20, { construction: gut(0.9e-3) }), 'gauge falls 20'],
    ['a jump in tension', with_('lovage', 20, { construction: gut(1.6e-3) }), 'tension jumps 20'],
    ['a short-lived string', with_('lovage', 12, { speakingLength: 0.225 }), 'near breaking 12'],
    ['a string past refusing', with_('lovage', 12, { speakingLength: 0.31 }), 'past refusing 12'],
    ['a colour that is not its note’s', with_('fennel', 4, { colour: 'red' }), 'colour 4'],
    ['a missing string', lines('fennel').filter(({ number }) => number !== 9), 'missing 9'],
    ['a string with no length', with_('fennel', 9, { speakingLength: null }), 'missing 9'],
    ['a string twice', [...lines('fennel'), lines('fennel')[3]!], 'twice 4'],
    ['a length that falls', with_('fennel', 9, { speakingLength: 0.19 }), 'lengths 9'],
    ['notes out of order', with_('fennel', 9, { note: note('C', 7) }), 'note out of order 9'],
  ])('%s is told', (_, chart, finding) => {
    expect(kinds(chart)).toContain(finding)
  })
})

describe('rebuilding', () => {
  test('lengths pass through those measured, and never fall toward the bass', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 0.3, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.integer({ min: 1, max: 6 }),
        (steps, gap) => {
          const known = new Map(
            steps.map((_, i) => [1 + i * gap, 0.07 + steps.slice(0, i).reduce((a, b) => a + b, 0)] as const),
          )
          const fitted = fitLengths(known, steps.length * gap + 3)
          for (const [number, length] of known) expect(fitted[number - 1]).toBe(length)
          for (let i = 1; i < fitted.length; i += 1)
            expect(fitted[i]! - fitted[i - 1]!).toBeGreaterThanOrEqual(-1e-4)
        },
      ),
    )
  })

  const plain = (material: 'nylon 6.12' | 'gut', gauges: readonly number[]): MakeOnOffer => {
    const all = gauges.map((mm): Construction => ({ kind: 'plain', material, gauge: mm / 1000 }))
    return { name: material, candidates: () => all }
  }
  const makes = [plain('nylon 6.12', [0.6, 0.7, 0.8, 0.9]), plain('gut', [0.8, 0.9, 1])]
  const open = (number: number, target: number, measured: OpenPosition['measured'] = null): OpenPosition => ({
    number,
    pitch: 900 / 1.12 ** number,
    speakingLength: 0.12 * 1.09 ** number,
    target,
    measured,
    fixed: null,
  })

  test('no way of stringing costs less than the one it proposes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 25, max: 90, noNaN: true }), { minLength: 1, maxLength: 4 }),
        (targets) => {
          const positions = targets.map((target, i) => open(i + 1, target))
          const best = rebuildChart(positions, makes)!
          const every = makes.flatMap((make) => make.candidates(1)).map((c) => [c])
          const ways = positions
            .slice(1)
            .reduce<Construction[][]>((all) => all.flatMap((way) => every.map(([c]) => [...way, c!])), every)
          // Every way that there is, its cost summed here from the stated terms.
          expect(best.cost).toBeCloseTo(Math.min(...ways.map((way) => costOf(way, positions))), 9)
        },
      ),
      { numRuns: 40 },
    )
  })

  function costOf(way: readonly Construction[], positions: readonly OpenPosition[]): number {
    let cost = 0
    for (const [i, c] of way.entries()) {
      const { speakingLength, pitch, target } = positions[i]!
      const [force, u] = [tension(c, speakingLength, pitch), utilisation(c, speakingLength, pitch)]
      if (u > 0.9) return Infinity
      cost += Math.log(force / target) ** 2 + 2 * Math.max(0, u - 0.6) ** 2 + 60 * Math.max(0, u - 0.75) ** 2
      const before = way[i - 1]
      if (!before) continue
      const [make, makeBefore] = [c, before].map((x) =>
        x.kind === 'plain' && x.material === 'gut' ? 1 : 0,
      ) as [number, number]
      if (makeBefore > make || (make === makeBefore && outerGauge(c) < outerGauge(before))) return Infinity
      const step =
        Math.log(force / tension(before, positions[i - 1]!.speakingLength, positions[i - 1]!.pitch)) -
        Math.log(target / positions[i - 1]!.target)
      cost += 0.35 * step ** 2 + (make === makeBefore ? 0 : 0.002)
    }
    return cost
  }

  test('a measured gauge is honoured within its error; one that nothing on offer meets is told', () => {
    const near = rebuildChart([open(1, 40, { gauge: 0.82e-3, error: 1e-5, make: null }), open(2, 40)], makes)!
    expect(outerGauge(near.strings[0]!)).toBe(0.8e-3)
    expect(() =>
      rebuildChart([open(1, 40), open(2, 40, { gauge: 2e-3, error: 1e-5, make: null })], makes),
    ).toThrow('String 2 can’t be had')
  })

  test('it stops when it is told to', () => {
    expect(rebuildChart([open(1, 40), open(2, 40), open(3, 40)], makes, (done) => done < 2)).toBeNull()
  })

  test('known strings stay, sections hold together, and what is proposed is whole', () => {
    const chart = lines('sorrel').map((line) =>
      line.number % 3 === 0
        ? {
            ...line,
            construction: null,
            make: null,
            speakingLength: line.number % 2 ? null : line.speakingLength,
          }
        : line,
    )
    const { lines: proposed, strings } = proposeChart(chart, 440, { error: 0 })!
    expect(strings).toEqual(Array.from({ length: 12 }, (_, i) => 3 * (i + 1)))
    for (const line of lines('sorrel').filter(({ number }) => number % 3 !== 0))
      expect(proposed[line.number - 1]).toEqual(line)
    expect(findings(proposed, 440).filter(({ weight }) => weight === 'wrong')).toEqual([])
  })

  test('with no material on any line there is nothing to begin from', () => {
    expect(() =>
      proposeChart(
        lines('borage').map((line) => ({ ...line, construction: null, make: null })),
        440,
        { error: 0 },
      ),
    ).toThrow('Expected at least one string whose material is known')
  })
})
