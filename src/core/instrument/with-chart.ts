/** An instrument drawn from a preset with what its maker’s chart has laid over it: what the chart says leads, and is kept as it is. */
import { chartLine, withLine, type ChartLine } from '../chart/chart-line'
import type { Instrument } from './instrument'
import type { Note } from '../pitch/note'
import { scientificWord } from '../pitch/note'

/**
 * @param lines - of the chart, by number; what a line leaves open the preset fills
 * @throws RangeError with a sentence that can be shown, where a line can’t be drawn
 */
export function withChart(instrument: Instrument, lines: readonly ChartLine[]): Instrument {
  const byNumber = new Map(lines.map((line) => [line.number, line]))
  return {
    ...instrument,
    positions: instrument.positions.map((position) => {
      const line = byNumber.get(position.number)
      if (!line) return position
      const had = chartLine(position)
      const speakingLength = line.speakingLength ?? had.speakingLength
      return withLine(position, {
        ...had,
        makerLabel: line.makerLabel ?? had.makerLabel,
        askedMake: line.askedMake ?? had.askedMake,
        colour: line.colour === 'natural' ? had.colour : line.colour,
        note: isBare(line.note, had.note) ? had.note : line.note,
        construction: line.construction ?? had.construction,
        speakingLength,
        // What lies beyond the bridge pin stays where the chart says nothing of it.
        freeLength: line.freeLength ?? speakingLength + had.freeLength - had.speakingLength,
        written: { ...had.written, ...line.written },
      })
    }),
  }
}

/** A bare letter is the string’s letter: its accidental at rest is the rest tuning’s. */
const isBare = (told: Note, rest: Note): boolean =>
  told.accidental === 0 && told.letter === rest.letter && told.octave === rest.octave

/** The notes of a chart as the form has them, shortest string first. */
export const notesOfChart = (lines: readonly ChartLine[]): string =>
  [...lines]
    .sort((a, b) => a.number - b.number)
    .map(({ note }) => scientificWord(note).replace('-sharp ', '#').replace('-flat ', 'b'))
    .join(' ')

/** Quantities of it that the chart tells: its lengths. */
export const lengthsTold = (lines: readonly ChartLine[]): readonly number[] =>
  lines.filter(({ speakingLength }) => speakingLength !== null).map(({ number }) => number)
