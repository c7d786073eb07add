import fc from 'fast-check'
import { harpOctave, harpOctaveOf, harpOctaveWord, scientificOctaveOf } from './harp-octave'
import {
  frequency,
  letterStep,
  LETTERS,
  note,
  noteAtStep,
  noteWord,
  scientificOctave,
  scientificWord,
  semitoneNumber,
  type Accidental,
  type Note,
} from './note'
import { parseNote } from './parse-note'
import { nearestNote } from './nearest-note'
import { restTuning } from './rest-tuning'

const notes: fc.Arbitrary<Note> = fc
  .record({
    letter: fc.constantFrom(...LETTERS),
    octave: fc.integer({ min: 0, max: 8 }),
    accidental: fc.constantFrom<Accidental>(-1, 0, 1),
  })
  .map(({ letter, octave, accidental }) => note(letter, octave, accidental))

test('what is written of a note reads back as that note', () => {
  fc.assert(fc.property(notes, (n) => expect(parseNote(scientificWord(n))).toEqual(n)))
})

test.each([
  ['Cb4', 'C-flat 4'],
  ['c flat 4', 'C-flat 4'],
  ['F#5', 'F-sharp 5'],
  ['f sharp 5', 'F-sharp 5'],
  ['g4', 'G4'],
  ['A natural 3', 'A3'],
  ['B♭2', 'B-flat 2'],
])('%s is %s', (typed, word) => {
  expect(scientificWord(parseNote(typed))).toBe(word)
})

test('an octave doubles, a semitone goes by the twelfth root, A4 is the reference', () => {
  fc.assert(
    fc.property(notes, fc.double({ min: 400, max: 460, noNaN: true }), (n, referenceA) => {
      const higher = note(n.letter, Math.min(9, n.octave + 1), n.accidental)
      expect(frequency(higher, referenceA) / frequency(n, referenceA)).toBeCloseTo(2, 9)
      const fromA = semitoneNumber(n) - 69
      expect(frequency(n, referenceA)).toBeCloseTo(referenceA * 2 ** (fromA / 12), 6)
    }),
  )
})

test('letters in a row are one step apart, and the row leads back to the letter', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 }), (step) => {
      expect(letterStep(noteAtStep(step))).toBe(step)
      expect(letterStep(noteAtStep(step + 7)) - letterStep(noteAtStep(step))).toBe(7)
    }),
  )
})

test('a flat sounds a semitone under its letter and keeps its octave', () => {
  for (const letter of LETTERS) {
    expect(semitoneNumber(note(letter, 4)) - semitoneNumber(note(letter, 4, -1))).toBe(1)
    expect(note(letter, 4, -1).octave).toBe(4)
  }
  expect(semitoneNumber(note('C', 4, -1))).toBe(semitoneNumber(note('B', 3)))
})

test('harp octaves: seven letters from E down to F lie in one, and the count goes back to the scientific one', () => {
  fc.assert(
    fc.property(notes, ({ letter, octave }) => {
      const counted = harpOctaveOf({ letter, octave })
      expect(scientificOctaveOf(letter, counted)).toBe(octave)
      const step = letterStep({ letter, octave })
      const inSame = Array.from({ length: 15 }, (_, i) => noteAtStep(Math.max(0, step - 7) + i)).filter(
        (n) => harpOctaveOf(n) === counted,
      )
      expect(inSame.length).toBeLessThanOrEqual(7)
    }),
  )
  expect(harpOctaveWord(note('A', 3))).toBe('4th-octave A')
  expect(harpOctaveWord(note('G', 7))).toBe('0th-octave G')
})

test('a rest tuning flattens or sharpens in the order of the signatures', () => {
  const altered = (name: string) =>
    LETTERS.filter((letter) => restTuning(name).accidentals[letter] !== 0).map((letter) =>
      noteWord({ letter, accidental: restTuning(name).accidentals[letter] }),
    )
  expect(altered('C major')).toEqual([])
  expect(altered('E-flat major')).toEqual(['E-flat', 'A-flat', 'B-flat'])
  expect(altered('G major')).toEqual(['F-sharp'])
  expect(altered('C-flat major')).toHaveLength(7)
})

test.each([
  ['octave', () => scientificOctave(3.5)],
  ['octave', () => scientificOctave(10)],
  ['harp octave', () => harpOctave(-3)],
  ['harp octave', () => harpOctave(Number.NaN)],
])('an %s that is none is refused', (name, make) => {
  expect(make).toThrow(RangeError)
  expect(make).toThrow(`${name}: expected a whole number`)
})

test.each([
  [440, 'A4', 0],
  [442, 'A4', 7.85],
  [261.6256, 'C4', 0],
  [277.1826, 'C-sharp 4', 0],
  [27.5, 'A0', 0],
  [4186.009, 'C8', 0],
  [246.9, 'B3', -0.3],
])('%f Hz is nearest to %s', (frequency, word, cents) => {
  expect(nearestNote(frequency, 440)).toMatchObject({ word, cents: expect.closeTo(cents, 1) })
})

test('every note is nearest to its own frequency, with any reference', () => {
  for (let step = 10; step < 50; step += 1)
    for (const referenceA of [415, 440, 443])
      expect(nearestNote(frequency(noteAtStep(step), referenceA), referenceA).note).toEqual(noteAtStep(step))
})
