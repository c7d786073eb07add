/**
 * Temperaments as Scala files (.scl): a description, how many notes, then one line each, in cents where there is a point in
 * it and as a ratio where there is none; what follows on a line is a remark, and lines that begin with “!” are skipped.
 */
import { requireValue } from '../list/require-value'
import { PITCH_CLASSES, type Temperament } from './temperament'

const MOST_TEXT = 20_000
const LONGEST_NAME = 80
/** No note is further from its place in equal temperament than this, cents: it would be another note. */
const FURTHEST = 60

/**
 * Reads a temperament; its first note is C.
 *
 * @throws RangeError with a sentence, where it is none that twelve notes can be tuned to
 */
export function readScala(text: string): Temperament {
  if (text.length > MOST_TEXT) throw new RangeError('A Scala file is a page of text; this one is longer.')
  const lines = text.split(/\r\n|\r|\n/).filter((line) => !line.startsWith('!'))
  const [description = '', count = '', ...rest] = lines
  const notes = Number((/^\s*(\d+)/.exec(count) ?? [])[1])
  if (!Number.isInteger(notes))
    throw new RangeError('This is no Scala file: its second line does not say how many notes there are.')
  if (notes !== PITCH_CLASSES)
    throw new RangeError(`Strings are tuned to twelve notes in an octave; this file has ${notes}.`)
  const above = rest.slice(0, notes).map((line, i) => degree(line, i + 1))
  if (above.length < notes) throw new RangeError(`The file says twelve notes, and then has ${above.length}.`)
  if (Math.abs(requireValue(above.at(-1)) - 1200) > 0.01)
    throw new RangeError('Its last note is not the octave, 2/1: strings are tuned by octaves.')
  const cents = [0, ...above.slice(0, -1)]
  cents.forEach((at, i) => {
    if (Math.abs(at - 100 * i) > FURTHEST)
      throw new RangeError(`Note ${i} of it is ${at.toFixed(1)} cents above C, too far from ${100 * i}.`)
  })
  return { name: printable(description).trim().slice(0, LONGEST_NAME) || 'Without a name', cents }
}

/** One degree of the file, cents. */
function degree(line: string, place: number): number {
  const [value = ''] = line.trim().split(/\s+/)
  const ratio = /^(\d{1,9})(?:\/(\d{1,9}))?$/.exec(value)
  const cents = ratio
    ? 1200 * Math.log2(Number(ratio[1]) / Number(ratio[2] ?? 1))
    : /^-?\d*\.\d*$/.test(value)
      ? Number(value)
      : NaN
  if (!Number.isFinite(cents))
    throw new RangeError(
      `Line ${place} of its notes says “${printable(value).slice(0, 20)}”, which is neither cents nor a ratio.`,
    )
  return cents
}

/** Without what can't be seen. */
const printable = (text: string) => text.replace(/\p{C}/gu, '')

/** Writes one, so that it reads back to the same within a millionth of a cent. */
export function writeScala({ name, cents }: Temperament): string {
  return [
    `! ${name}`,
    '!',
    name,
    ` ${PITCH_CLASSES}`,
    '!',
    ...cents.slice(1).map((at) => ` ${at.toFixed(6)}`),
    ' 2/1',
    '',
  ].join('\n')
}
