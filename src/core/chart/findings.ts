/**
 * What is odd about a string chart: told, never mended unasked.
 */
import { itemAt } from '../list/item-at'
import { ordinal } from '../pitch/harp-octave'
import { frequency, letterStep } from '../pitch/note'
import { measure, say, type Phrase } from '../measure'
import { materialWord, outerGauge, sameMake } from '../strings/construction'
import { MARGIN_BOUNDS, tension, utilisation } from '../strings/tension'
import { isWhole, type ChartLine, type WholeLine } from './chart-line'

export type FindingKind =
  | 'missing'
  | 'twice'
  | 'materials alternate'
  | 'gauge falls'
  | 'tension jumps'
  | 'near breaking'
  | 'past refusing'
  | 'colour'
  | 'lengths'
  | 'note out of order'

export interface Finding {
  readonly kind: FindingKind
  /** Where, by number; the first is the one to go to. */
  readonly numbers: readonly number[]
  /** A wrong one is a mistake or a danger; an odd one may be meant. */
  readonly weight: 'wrong' | 'odd'
  readonly says: Phrase
}

/** Neighbours whose tensions differ by more than this share. */
const TENSION_JUMP = 0.25

/**
 * Looks a chart over.
 *
 * @param lines - in any order
 * @param referenceA - frequency of A4, Hz
 * @returns findings in the order of the strings
 */
export function findings(lines: readonly ChartLine[], referenceA: number): readonly Finding[] {
  const sorted = [...lines].sort((a, b) => a.number - b.number)
  const pairs = sorted.slice(1).map((line, i) => [itemAt(sorted, i), line] as const)
  const found = [
    ...missing(sorted),
    ...twice(pairs),
    ...alternating(sorted),
    ...colours(sorted),
    ...sorted.filter(isWhole).flatMap((line) => breaking(line, referenceA)),
    ...pairs.flatMap(([shorter, longer]) => [
      ...gaugeFalls(shorter, longer),
      ...tensionJumps(shorter, longer, referenceA),
      ...lengths(shorter, longer),
      ...notes(shorter, longer),
    ]),
  ]
  return found.sort((a, b) => itemAt(a.numbers, 0) - itemAt(b.numbers, 0))
}

function missing(sorted: readonly ChartLine[]): Finding[] {
  const [first, last] = [1, sorted.at(-1)?.number ?? 0]
  const present = new Set(sorted.map((line) => line.number))
  const gone = Array.from({ length: last - first + 1 }, (_, i) => first + i).filter(
    (number) => !present.has(number),
  )
  const open = sorted.filter((line) => !isWhole(line))
  return [
    ...gone.map((number): Finding => ({
      kind: 'missing',
      numbers: [number],
      weight: 'wrong',
      says: say`The chart has no string ${String(number)}.`,
    })),
    ...open.map((line): Finding => ({
      kind: 'missing',
      numbers: [line.number],
      weight: 'wrong',
      says: say`String ${String(line.number)} has no ${openParts(line)} yet.`,
    })),
  ]
}

function openParts(line: ChartLine): string {
  const parts = [
    ...(line.construction ? [] : ['gauge']),
    ...(line.speakingLength === null ? ['speaking length'] : []),
    ...(line.freeLength === null ? ['free length'] : []),
  ]
  return parts.join(' and no ')
}

type Pair = readonly [shorter: ChartLine, longer: ChartLine]

function twice(pairs: readonly Pair[]): Finding[] {
  return pairs
    .filter(([a, b]) => a.number === b.number)
    .map(([{ number }]) => ({
      kind: 'twice',
      numbers: [number],
      weight: 'wrong',
      says: say`The chart has string ${String(number)} twice.`,
    }))
}

/** A material that comes back after another one has begun. */
function alternating(sorted: readonly ChartLine[]): Finding[] {
  const whole = sorted.filter((line) => line.construction !== null)
  const ended: string[] = []
  return whole.flatMap((line, i): Finding[] => {
    const word = materialWord(line.construction!)
    const before = whole[i - 1]
    if (!before || materialWord(before.construction!) === word) return []
    ended.push(materialWord(before.construction!))
    if (!ended.includes(word)) return []
    return [
      {
        kind: 'materials alternate',
        numbers: [line.number, before.number],
        weight: 'wrong',
        says: say`${word} comes back at string ${String(line.number)} after ${materialWord(before.construction!)} has begun; materials never alternate.`,
      },
    ]
  })
}

function colours(sorted: readonly ChartLine[]): Finding[] {
  if (sorted.every((line) => line.colour === 'natural')) return []
  return sorted.flatMap((line): Finding[] => {
    const { letter } = line.note
    const right =
      letter === 'C'
        ? line.colour === 'red'
        : letter === 'F'
          ? line.colour === 'black' || line.colour === 'blue'
          : line.colour === 'natural'
    if (right) return []
    const wanted = letter === 'C' ? 'red' : letter === 'F' ? 'black or blue' : 'natural'
    return [
      {
        kind: 'colour',
        numbers: [line.number],
        weight: 'odd',
        says: say`String ${String(line.number)} is ${line.colour}; ${letter} strings are ${wanted}.`,
      },
    ]
  })
}

function breaking(line: WholeLine, referenceA: number): Finding[] {
  const u = utilisation(line.construction, line.speakingLength, frequency(line.note, referenceA))
  if (u <= MARGIN_BOUNDS.shortLived) return []
  const share = measure('share', u)
  return u > MARGIN_BOUNDS.refuse
    ? [
        {
          kind: 'past refusing',
          numbers: [line.number],
          weight: 'wrong',
          says: say`String ${String(line.number)} would carry ${share} of its strength: too close to breaking. Ask the maker before fitting it.`,
        },
      ]
    : [
        {
          kind: 'near breaking',
          numbers: [line.number],
          weight: 'odd',
          says: say`String ${String(line.number)} carries ${share} of its strength: short-lived.`,
        },
      ]
}

function gaugeFalls(
  { construction: a, number }: ChartLine,
  { construction: b, number: longer }: ChartLine,
): Finding[] {
  if (!a || !b || !sameMake(a, b) || outerGauge(b) >= outerGauge(a) - 1e-7) return []
  return [
    {
      kind: 'gauge falls',
      numbers: [longer, number],
      weight: 'odd',
      says: say`String ${String(longer)}, ${measure('gauge', outerGauge(b))}, is thinner than its shorter neighbour of the same material, ${measure('gauge', outerGauge(a))}.`,
    },
  ]
}

function tensionJumps(a: ChartLine, b: ChartLine, referenceA: number): Finding[] {
  if (!isWhole(a) || !isWhole(b)) return []
  const [ta, tb] = [a, b].map((line) =>
    tension(line.construction, line.speakingLength, frequency(line.note, referenceA)),
  ) as [number, number]
  const jump = Math.max(ta, tb) / Math.min(ta, tb) - 1
  if (jump <= TENSION_JUMP) return []
  return [
    {
      kind: 'tension jumps',
      numbers: [b.number, a.number],
      weight: 'odd',
      says: say`From string ${String(a.number)} to ${String(b.number)} the tension jumps by ${measure('share', jump)}, ${measure('force', ta)} to ${measure('force', tb)}.`,
    },
  ]
}

function lengths(a: ChartLine, b: ChartLine): Finding[] {
  if (a.speakingLength === null || b.speakingLength === null || b.speakingLength >= a.speakingLength)
    return []
  return [
    {
      kind: 'lengths',
      numbers: [b.number, a.number],
      weight: 'odd',
      says: say`String ${String(b.number)}, ${measure('length', b.speakingLength)}, is shorter than string ${String(a.number)}; lengths fall toward the treble.`,
    },
  ]
}

/** Notes go down the scale; a step left out is told where the strings go by steps everywhere else. */
function notes(a: ChartLine, b: ChartLine): Finding[] {
  const steps = letterStep(a.note) - letterStep(b.note)
  if (steps >= 0) return []
  return [
    {
      kind: 'note out of order',
      numbers: [b.number, a.number],
      weight: 'wrong',
      says: say`String ${String(b.number)} sounds higher than string ${String(a.number)}, the ${ordinal(a.number)} from the top; notes fall toward the bass.`,
    },
  ]
}

/** Runs of neighbouring lines of one make, shortest string first. */
export interface Section {
  readonly material: string
  readonly from: number
  readonly to: number
}

/** The sections of a chart; lines whose make is open are passed over. */
export function sections(lines: readonly ChartLine[]): readonly Section[] {
  const sorted = [...lines].sort((a, b) => a.number - b.number).filter((line) => line.construction !== null)
  return sorted.reduce<readonly Section[]>((found, { number, construction }) => {
    const material = materialWord(construction!)
    const last = found.at(-1)
    return last?.material === material
      ? [...found.slice(0, -1), { ...last, to: number }]
      : [...found, { material, from: number, to: number }]
  }, [])
}
