/** Short and full: the same steps, none lost, in six lines at most, for every string, and in every school of the habits. */
import { WAYS, type HabitKey } from '../habits'
import { shortWalk } from '../short-walk'
import type { Step } from '../step'
import { everyInstrument, on, told } from './told'

const same = (step: Step) => step

test('six lines hold every step of every string, in the order of the work, with every figure and every caution', () => {
  for (const instrument of everyInstrument)
    for (const { number } of instrument.positions) {
      const { steps } = told(instrument, number)
      const lines = shortWalk(steps, same)
      expect(lines.length).toBeLessThanOrEqual(6)
      expect(lines.length).toBeGreaterThanOrEqual(5)
      expect(lines.flatMap((line) => line.steps.map(({ key }) => key))).toEqual(steps.map(({ key }) => key))
      for (const line of lines) {
        const labels = line.figures.map(({ label, measure }) => `${label} ${measure.value}`)
        expect(new Set(labels).size).toBe(labels.length)
        for (const step of line.steps) {
          for (const { label, measure } of step.figures) expect(labels).toContain(`${label} ${measure.value}`)
          expect(line.cautions).toEqual(expect.arrayContaining([...step.cautions]))
        }
      }
    }
})

test('in every school of the habits the short walk holds the steps of the full one', () => {
  for (const habit of Object.keys(WAYS) as HabitKey[])
    for (const way of WAYS[habit])
      for (const [slug, number] of [
        ['lovage', 22],
        ['chervil', 3],
        ['teasel', 4],
        ['orris', 2],
        ['yarrow', 5],
      ] as const) {
        const { steps } = told(on(slug), number, { [habit]: way })
        const lines = shortWalk(steps, same)
        expect([habit, way, slug, lines.flatMap((line) => line.steps)]).toEqual([habit, way, slug, steps])
      }
})

test('what most strings do not have is named on its line, and an ordinary string has nothing to be named', () => {
  const differs = (slug: string, number: number) =>
    shortWalk(told(on(slug), number).steps, same).flatMap((line) => line.differs)
  expect(differs('lovage', 22)).toEqual([])
  expect(differs('yarrow', 5)).toEqual(
    expect.arrayContaining(['Catch it in the peg’s cord', 'Wrap it on its foot']),
  )
  expect(differs('teasel', 4).length).toBeGreaterThan(1)
})
