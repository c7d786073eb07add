/** A maker’s chart laid over a preset: what it says is kept, what it leaves open the preset fills. */
import { juniper } from '../measuring/juniper'
import type { ChartLine } from '../chart/chart-line'
import { note } from '../pitch/note'
import { readNotes } from './read-notes'
import { lengthsTold, notesOfChart, withChart } from './with-chart'

const harp = juniper('lever harp', 'C3 to C5')
const open = (number: number, change: Partial<ChartLine>): ChartLine => ({
  number,
  makerLabel: null,
  askedMake: null,
  note: { ...harp.positions[number - 1]!.note, accidental: 0 },
  colour: 'natural',
  construction: null,
  make: null,
  speakingLength: null,
  freeLength: null,
  ...change,
})

test('a gauge and a length of the chart are the instrument’s; the rest is as the preset has it', () => {
  const construction = { kind: 'plain', material: 'fluorocarbon', gauge: 0.00071 } as const
  const now = withChart(harp, [open(2, { construction, speakingLength: 0.4 })])
  const [before, after] = [harp.positions[1]!, now.positions[1]!]
  expect(after).toMatchObject({ construction, speakingLength: 0.4, colour: before.colour })
  expect(after.freeLength - 0.4).toBeCloseTo(before.freeLength - before.speakingLength, 9)
  // A bare letter sounds as the rest tuning has it.
  expect(after.note).toEqual(before.note)
  expect(now.positions[0]).toBe(harp.positions[0])
})

test('a sharp of the chart is kept; a free length too, and one that is too short is refused in a sentence', () => {
  const sharp = note('F', 4, 1)
  expect(withChart(harp, [open(5, { note: sharp })]).positions[4]!.note).toEqual(sharp)
  expect(withChart(harp, [open(1, { freeLength: 0.9 })]).positions[0]!.freeLength).toBe(0.9)
  expect(() => withChart(harp, [open(1, { freeLength: 0.01 })])).toThrow('must be longer')
})

test('its notes fill the form, and read back as they were', () => {
  const lines = [open(2, { note: note('B', 4, -1) }), open(1, { note: note('C', 5, 1), speakingLength: 0.2 })]
  expect(notesOfChart(lines)).toBe('C#5 Bb4')
  expect(readNotes(notesOfChart(lines))).toEqual([note('C', 5, 1), note('B', 4, -1)])
  expect(lengthsTold(lines)).toEqual([1])
})
