/** Programs as text, and what a real solver makes of them. */
import fc from 'fast-check'
import { highsSolver } from '@/workers/solver'
import { lpText, MipBuilder, solved } from './mip'

const solve = highsSolver()

test('a program is written in the LP format with every bound, and long rows are broken', () => {
  const mip = new MipBuilder()
  const columns = Array.from({ length: 10 }, (_, i) =>
    mip.whole(i === 0 ? -1.5 : 0.000001, i === 1 ? Infinity : 3),
  )
  mip.atMost(
    4,
    columns.map((column) => [column, column === 2 ? -2 : 1] as const),
  )
  mip.atLeast(0.5, [])
  const text = lpText(mip)
  expect(text).toContain('cost: - 1.5 c0 + 0.000001 c1')
  expect(text).toContain('- 2 c2')
  expect(text).toContain(' c1 >= 0')
  expect(text).toContain(' 0 <= c2 <= 3')
  expect(text).toContain('l1: 0 c0 >= 0.5')
  expect(Math.max(...text.split('\n').map((line) => line.length))).toBeLessThan(160)
})

test('small programs are solved as trying everything solves them, and the impossible is said to be so', async () => {
  const term = fc.integer({ min: -4, max: 6 })
  const program = fc.record({
    costs: fc.array(fc.integer({ min: -5, max: 9 }), { minLength: 3, maxLength: 3 }),
    rows: fc.array(
      fc.record({
        least: fc.boolean(),
        limit: fc.integer({ min: -3, max: 9 }),
        terms: fc.array(term, { minLength: 3, maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
  })
  await fc.assert(
    fc.asyncProperty(program, async ({ costs, rows }) => {
      const mip = new MipBuilder()
      costs.forEach((cost) => mip.whole(cost, 3))
      for (const { least, limit, terms } of rows)
        mip[least ? 'atLeast' : 'atMost'](
          limit,
          terms.map((coefficient, column) => [column, coefficient] as const),
        )
      let best = Infinity
      for (let code = 0; code < 64; code += 1) {
        const values = [code & 3, (code >> 2) & 3, code >> 4]
        const sum = (by: readonly number[]) => by.reduce((total, factor, i) => total + factor * values[i]!, 0)
        if (rows.every(({ least, limit, terms }) => (least ? sum(terms) >= limit : sum(terms) <= limit)))
          best = Math.min(best, sum(costs))
      }
      const answer = await solve(mip)
      if (best === Infinity) expect(answer).toBeNull()
      else expect(answer).toMatchObject({ objective: expect.closeTo(best, 6), gap: 0 })
    }),
    { numRuns: 120 },
  )
}, 60_000)

test('a plan that always has an answer is told when it has none', () => {
  expect(() => solved(null)).toThrow('expected an answer from the solver')
})
