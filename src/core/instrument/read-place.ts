/**
 * Reads a string's place told from another one: `second F below the top red`, `third C from the top`, `two below a blue one`.
 */
import { ordinal } from '../pitch/harp-octave'
import type { Instrument, StringPosition } from './instrument'
import type { NameReading } from './read-name'

const COUNTS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const ORDINALS = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']
const TOPS = ['top', 'highest', 'shortest']
const KIND = '(?:[a-g]|red|black|blue|string|one)'
const END = 'top|highest|shortest|bottom|lowest|longest'

/** `second F below the top red`, `third C from the bottom`, `top red`. */
const COUNTED = new RegExp(`^(?:the )?(?:(\\w+) )?(${KIND})s? (below|above|from) (?:the )?(${END})(?: (${KIND}))?$`)
const AT_END = new RegExp(`^(?:the )?(${END}) (${KIND})$`)
/** `two below a blue one`, `3 strings above the F`. */
const STEPS = new RegExp(`^(\\w+) (?:strings? )?(below|above) (?:an?|the) (${KIND})(?: (?:one|string))?$`)

/**
 * @param plain - lower case, single spaces
 * @returns every string that the words can mean here, shortest first; null when the words are of another form
 */
export function readPlace(plain: string, instrument: Instrument): readonly NameReading[] | null {
  return counted(plain, instrument) ?? atEnd(plain, instrument) ?? steps(plain, instrument)
}

function counted(plain: string, { positions }: Instrument): readonly NameReading[] | null {
  const found = COUNTED.exec(plain)
  if (!found) return null
  const [, count = 'first', kind, way, end, anchorKind = 'string'] = found as unknown as [string, string | undefined, string, string, string, string | undefined]
  const nth = numberOf(count)
  if (nth === null || nth < 1) return null
  const fromTop = TOPS.includes(end)
  const inOrder = fromTop ? positions : [...positions].reverse()
  const anchor = inOrder.find(matching(anchorKind))
  if (!anchor) return []
  const outward = way === 'from'
    ? inOrder.slice(inOrder.indexOf(anchor))
    : way === 'below' ? positions.filter((p) => p.number > anchor.number) : positions.filter((p) => p.number < anchor.number).reverse()
  const match = outward.filter(matching(kind))[nth - 1]
  return match ? [{ number: match.number, means: `the ${ordinal(nth)} ${wordOf(kind)} ${way} the ${end}${anchorKind === 'string' ? '' : ` ${wordOf(anchorKind)}`}` }] : []
}

function atEnd(plain: string, { positions }: Instrument): readonly NameReading[] | null {
  const found = AT_END.exec(plain)
  if (!found) return null
  const [, end, kind] = found as unknown as [string, string, string]
  const all = positions.filter(matching(kind))
  const match = TOPS.includes(end) ? all[0] : all.at(-1)
  return match ? [{ number: match.number, means: `the ${end} ${wordOf(kind)}` }] : []
}

function steps(plain: string, { positions }: Instrument): readonly NameReading[] | null {
  const found = STEPS.exec(plain)
  if (!found) return null
  const [, count, way, kind] = found as unknown as [string, string, string, string]
  const by = numberOf(count)
  if (by === null || by < 1) return null
  const away = way === 'below' ? by : -by
  return positions.filter(matching(kind)).flatMap((anchor) => {
    const there = positions.find((p) => p.number === anchor.number + away)
    return there ? [{ number: there.number, means: `${by} ${way} number ${anchor.number}, ${wordOf(kind) === 'string' ? 'a string' : `a ${wordOf(kind)} one`}` }] : []
  })
}

function matching(kind: string): (p: StringPosition) => boolean {
  if (kind === 'string' || kind === 'one') return () => true
  if (kind === 'red') return (p) => p.colour === 'red'
  if (kind === 'black' || kind === 'blue') return (p) => p.colour === 'black' || p.colour === 'blue'
  return (p) => p.note.letter === kind.toUpperCase()
}

function wordOf(kind: string): string {
  if (kind === 'one') return 'string'
  return kind.length === 1 ? kind.toUpperCase() : kind
}

function numberOf(word: string): number | null {
  const digits = /^(\d{1,2})(?:st|nd|rd|th)?$/.exec(word)
  if (digits) return Number(digits[1])
  const at = Math.max(COUNTS.indexOf(word), ORDINALS.indexOf(word))
  return at < 0 ? null : at
}
