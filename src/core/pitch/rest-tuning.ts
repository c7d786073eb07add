/**
 * Rest tunings: the accidental each letter sounds with when no lever, disc or pedal is engaged.
 */
import type { Accidental, Letter } from './note'

export interface RestTuning {
  readonly name: string
  readonly accidentals: Readonly<Record<Letter, Accidental>>
}

const FLATS: readonly Letter[] = ['B', 'E', 'A', 'D', 'G', 'C', 'F']
const SHARPS: readonly Letter[] = ['F', 'C', 'G', 'D', 'A', 'E', 'B']

function inFlats(name: string, count: number): RestTuning {
  return { name, accidentals: signature(FLATS.slice(0, count), -1) }
}

function inSharps(name: string, count: number): RestTuning {
  return { name, accidentals: signature(SHARPS.slice(0, count), 1) }
}

function signature(altered: readonly Letter[], by: Accidental): Record<Letter, Accidental> {
  const of = (letter: Letter): Accidental => (altered.includes(letter) ? by : 0)
  return { C: of('C'), D: of('D'), E: of('E'), F: of('F'), G: of('G'), A: of('A'), B: of('B') }
}

const TUNINGS: readonly RestTuning[] = [
  inFlats('C-flat major', 7),
  inFlats('A-flat major', 4),
  inFlats('E-flat major', 3),
  inFlats('F major', 1),
  inFlats('C major', 0),
  inSharps('G major', 1),
  inSharps('D major', 2),
]

/** Names of the tunings known here. */
export const REST_TUNINGS: readonly string[] = TUNINGS.map(({ name }) => name)

/**
 * @param name - as in the instrument's record, such as `E-flat major`
 * @throws RangeError when the name is not a tuning known here
 */
export function restTuning(name: string): RestTuning {
  const found = TUNINGS.find((tuning) => tuning.name === name)
  if (!found)
    throw new RangeError(
      `rest tuning: expected one of ${TUNINGS.map((t) => t.name).join(', ')}, got “${name}”.`,
    )
  return found
}
