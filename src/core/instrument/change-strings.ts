/**
 * Strings added to an instrument and taken away from it, and its rest tuning changed: what is numbered stays whole.
 */
import { grouped } from '../list/grouped'
import { requireValue } from '../list/require-value'
import { letterStep, noteAtStep, type Note } from '../pitch/note'
import { restTuning } from '../pitch/rest-tuning'
import { calledAs } from './called'
import { positionAt, samePiece, type Instrument, type Point, type StringPosition } from './instrument'

/** An instrument with other strings, and which of the earlier ones each position is; null for a new one. */
export interface ChangedStrings {
  readonly instrument: Instrument
  readonly was: readonly (number | null)[]
}

/** More strings than any instrument has. */
export const MOST_STRINGS = 200

/**
 * Tunes an instrument to another rest tuning. A string that sounds otherwise than the old one says, keeps what it has.
 *
 * @throws RangeError when the tuning is not known
 */
export function withRestTuning(instrument: Instrument, name: string): Instrument {
  const [from, to] = [restTuning(instrument.restTuning).accidentals, restTuning(name).accidentals]
  return {
    ...instrument,
    restTuning: name,
    positions: instrument.positions.map((p) =>
      p.note.accidental === from[p.note.letter]
        ? { ...p, note: { ...p.note, accidental: to[p.note.letter] } }
        : p,
    ),
  }
}

/**
 * Takes a string away, with the other one where one wire is both.
 *
 * @throws RangeError with a sentence that can be shown, when nothing would be left
 */
export function withoutString(instrument: Instrument, number: number): ChangedStrings {
  const gone = samePiece(instrument, positionAt(instrument, number))
  const left = instrument.positions.filter((p) => !gone.includes(p))
  if (left.length === 0) throw new RangeError('An instrument has one string at least.')
  return renumbered(
    instrument,
    left.map((p) => [p, p.number]),
  )
}

/**
 * Puts a string in beside another one, or a wire where one wire is two strings. It has its neighbours’ hardware and
 * string, a length and place between or beyond them, and the next note of the scale.
 *
 * @param after - number of the string that it comes after, toward the longer ones; 0 before all others
 * @throws RangeError with a sentence that can be shown, when there is no such string, or no more fit
 */
export function withString(instrument: Instrument, after: number): ChangedStrings {
  const { positions } = instrument
  const pieces = [...grouped(positions, (p) => p.piece).values()]
  const at = after === 0 ? 0 : pieces.findIndex((piece) => piece.includes(positionAt(instrument, after))) + 1
  const [above, below] = [pieces[at - 1], pieces[at]]
  const model = requireValue(above ?? below)
  if (positions.length + model.length > MOST_STRINGS)
    throw new RangeError(`An instrument has ${MOST_STRINGS} strings at most.`)
  const steps = new Set(model.map(({ note }) => letterStep(note))).size * (above ? -1 : 1)
  const added = model.map((p, i): StringPosition => {
    const of = (piece: readonly StringPosition[] | undefined) => piece?.[i] ?? p
    // Between two neighbours half way; beyond the last as far as that is from the one before it.
    const [from, to, share] =
      above && below
        ? [of(above), of(below), 0.5]
        : above
          ? [of(pieces[at - 2]), of(above), 2]
          : [of(below), of(pieces[1]), -1]
    const note = stepped(instrument, p.note, steps)
    return {
      ...between(from, to, share),
      note,
      colour: positions.find((other) => other.note.letter === note.letter)?.colour ?? 'natural',
      makerLabel: null,
      piece: Number.MAX_SAFE_INTEGER,
    }
  })
  const kept = (of: readonly (readonly StringPosition[])[]) => of.flat().map((p) => [p, p.number] as const)
  return renumbered(instrument, [
    ...kept(pieces.slice(0, at)),
    ...added.map((p) => [p, null] as const),
    ...kept(pieces.slice(at)),
  ])
}

/** The note so many steps of the scale higher, with the rest tuning's accidental. */
function stepped({ restTuning: name }: Instrument, from: Note, steps: number): Note {
  const natural = noteAtStep(letterStep(from) + steps)
  return { ...natural, accidental: restTuning(name).accidentals[natural.letter] }
}

/** A position that lies between two, or beyond one of them: lengths by their ratio, places in a line. */
function between(a: StringPosition, b: StringPosition, share: number): StringPosition {
  const model = share < 0.5 ? a : b
  const ratio = (x: number, y: number) => x * (y / x) ** share
  const spot = (x: Point, y: Point): Point => ({
    x: x.x + (y.x - x.x) * share,
    y: x.y + (y.y - x.y) * share,
  })
  const speakingLength = ratio(a.speakingLength, b.speakingLength)
  const beyond = ratio(a.freeLength - a.speakingLength, b.freeLength - b.speakingLength)
  return {
    ...model,
    speakingLength,
    freeLength: speakingLength + beyond,
    at: {
      tail: spot(a.at.tail, b.at.tail),
      bridge: spot(a.at.bridge, b.at.bridge),
      pin: spot(a.at.pin, b.at.pin),
    },
  }
}

/** Numbers strings and pieces from the top anew, and what lies over what with them. */
export function renumbered(
  instrument: Instrument,
  strings: readonly (readonly [position: StringPosition, was: number | null])[],
): ChangedStrings {
  const pieces = [...new Set(strings.map(([p]) => p.piece))]
  const positions = strings.map(([p], i): StringPosition => ({
    ...p,
    number: i + 1,
    called: calledAs(instrument, i + 1, strings.length, p.called.role),
    piece: pieces.indexOf(p.piece) + 1,
  }))
  const now = new Map(strings.map(([, was], i) => [was, i + 1]))
  return {
    was: strings.map(([, was]) => was),
    instrument: {
      ...instrument,
      positions,
      coverings: instrument.coverings.flatMap(({ over, under }) => {
        const [o, u] = [now.get(over), now.get(under)]
        return o === undefined || u === undefined ? [] : [{ over: o, under: u }]
      }),
    },
  }
}
