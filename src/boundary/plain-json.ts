/** A body of a request made plain, and what none may hold, whatever it is for: looked for once, before any check of its fields. */
import { Refusal } from './refusal'

/** Deeper than any request is, and longer than anybody writes. */
const DEEPEST = 12
const LONGEST_TEXT = 5000
const MOST_VALUES = 500_000
/** What every object answers to by itself is no name of a field. */
const NO_FIELD = new Set(Object.getOwnPropertyNames(Object.prototype))

/** Signs that are not seen, or turn what follows them round; of those that steer, only the tab and the end of a line are written. */
const UNSEEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff\ufff9-\uffff]/u
const HALF_A_SIGN = /[\ud800-\udfff]/u

/**
 * Text without blanks at its ends, its letters each as one sign; everything else as it came.
 *
 * @param json - as it was parsed
 * @param isFile - it holds a file’s text, which may be long, is checked by whoever reads it, and is left as it is
 * @throws Refusal 400 with a sentence
 */
export function plainJson(json: object, isFile: boolean): object {
  let values = 0
  const plain = (value: unknown, field: string, depth: number): unknown => {
    values += 1
    if (values > MOST_VALUES) throw new Refusal(400, 'That is more than anybody sends at once.')
    if (typeof value === 'string') return isFile ? value : plainText(value, field)
    if (typeof value !== 'object' || value === null) return value
    if (depth >= DEEPEST)
      throw new Refusal(400, 'That is nested deeper than anything that is asked for here.')
    if (Array.isArray(value)) return value.map((one, i) => plain(one, `${field}.${i}`, depth + 1))
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => {
        if (NO_FIELD.has(name)) throw new Refusal(400, 'One of the fields has a name that no field has.')
        return [name, plain(one, field === '' ? name : `${field}.${name}`, depth + 1)]
      }),
    )
  }
  return plain(json, '', 0) as object
}

function plainText(text: string, field: string): string {
  if (text.length > LONGEST_TEXT)
    throw new Refusal(400, `That text is too long: ${LONGEST_TEXT} letters are taken at most.`, field)
  if (UNSEEN.test(text) || HALF_A_SIGN.test(text))
    throw new Refusal(400, 'The text has signs in it that can’t be seen: write it anew.', field)
  return text.normalize('NFC').trim()
}
