/**
 * Reads clues out of what a person types: `thin, clear, two below a blue one, springs back`.
 */
import { itemAt } from '../list/item-at'
import { readNamed } from '../names/grammar'
import { layersWritten } from '../chart/material-words'
import { frequency } from '../pitch/note'
import { parseNote } from '../pitch/parse-note'
import { parseLength, type LengthUnit } from '../units/length'
import { materialClass, type MaterialClass } from './material-class'
import type { Clue, Look, NeighbourSeen, Side } from './clue'
import { bareWord, besideWhat, inEnglish, sidesAsEnds } from './in-languages'

export interface ReadClues {
  readonly clues: readonly Clue[]
  /** Pieces of the text that say nothing known here, as typed. */
  readonly unread: readonly string[]
}

/** What a reader needs to know of the bench. */
export interface BenchFacts {
  /** Unit of a bare number. */
  readonly unit: LengthUnit
  /** Standard error of the calliper, m. */
  readonly gaugeError: number
  /** Frequency of A4, Hz. */
  readonly referenceA: number
  /** Whether the longest string is drawn leftmost. */
  readonly longestIsLeft: boolean
}

type Reader = (text: string, bench: BenchFacts) => readonly Clue[] | null

/** A comma between digits is a decimal comma. */
const PARTED = /(?<!\d),|,(?!\d)|[;\n]|\band\b/i

/**
 * @param text - clues with commas, semicolons or line ends between them
 * @returns the clues in the order given, and what could not be read
 */
export function readClues(text: string, bench: BenchFacts): ReadClues {
  const pieces = text
    .split(PARTED)
    .map((piece) => piece.trim().replace(/\.$/, ''))
    .filter((piece) => piece !== '')
  const read = pieces.map((piece) => ({ piece, clues: readPiece(piece, bench) }))
  return {
    clues: read.flatMap(({ clues }) => clues ?? []),
    unread: read.filter(({ clues }) => clues === null).map(({ piece }) => piece),
  }
}

function readPiece(piece: string, bench: BenchFacts): readonly Clue[] | null {
  const plain = piece
    .toLowerCase()
    .replace(/[-–]/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^(?:it (?:is|was|looks|feels) |looks |feels |quite |very |rather )+/, '')
  const said = inEnglish(sidesAsEnds(plain, bench.longestIsLeft))
  for (const reader of READERS) {
    const clues = reader(said, bench)
    if (clues) return clues
  }
  return null
}

/** A place told as people tell it: the same grammar that names are read by. */
const place: Reader = (text) => {
  const named = readNamed(text)
  if (
    named?.is === 'away' &&
    named.kind === 'any' &&
    named.anchor.is === 'any of' &&
    (named.anchor.kind === 'red' || named.anchor.kind === 'dark')
  ) {
    return [
      {
        kind: 'coloured neighbour',
        seen: named.anchor.kind,
        away: named.way === 'below' ? named.nth : -named.nth,
      },
    ]
  }
  if (named?.is === 'nth' && (named.kind === 'red' || named.kind === 'dark'))
    return [{ kind: 'colour counted', seen: named.kind, from: named.from, nth: named.nth }]
  if (named?.is !== 'number' || named.number < 1) return null
  // A bare number is a measure, not a count.
  if (named.from === 'own' && !/no|nr|number|string|#|st\b|nd\b|rd\b|th\b/.test(text)) return null
  return [
    {
      kind: 'counted',
      from: named.from === 'bottom' || named.from === 'last' ? 'bottom' : 'top',
      number: named.number,
    },
  ]
}

/** A gauge is told from the length of the pieces by its size: nothing that is tied to a pin is thicker than this, m. */
const THICKEST = 0.008

const measured: Reader = (text, bench) => {
  const found =
    /^(?:measures |gauge |pieces (?:of )?|length )?([\d.,/ ]*\d[\d.,/ ]* ?(?:mm|cm|m|in|inch|inches|"|thou)?)(?: long| thick| in all)?( new)?$/.exec(
      text,
    )
  if (!found) return null
  try {
    const value = parseLength(itemAt(found, 1).trim(), bench.unit)
    if (value <= 0) return null
    return value <= THICKEST
      ? [{ kind: 'gauge', measured: value, error: bench.gaugeError, worn: found[2] === undefined }]
      : [{ kind: 'pieces', length: value }]
  } catch {
    return null
  }
}

const NEXT = '(?:the )?(?:next |string |one )?(above|below|shorter|longer)(?: one| string)?'
const sideOf = (word: string): Side => (word === 'above' || word === 'shorter' ? 'shorter' : 'longer')

const neighbourSound: Reader = (text, { referenceA }) => {
  const found = new RegExp(`^${NEXT} (?:sounds|is tuned to|reads) (?:an? )?(.+)$`).exec(text)
  if (!found) return null
  const heard = itemAt(found, 2)
  const hertz = /^([\d.]+) ?(?:hz|hertz)$/.exec(heard)
  try {
    const pitch = hertz ? Number(hertz[1]) : frequency(parseNote(heard), referenceA)
    return Number.isFinite(pitch) && pitch > 10 && pitch < 10_000
      ? [{ kind: 'neighbour’s pitch', side: sideOf(itemAt(found, 1)), pitch }]
      : null
  } catch {
    return null
  }
}

const MADE_OF: Record<string, NeighbourSeen> = {
  gut: 'gut',
  nylon: 'nylon',
  clear: 'nylon',
  wire: 'wire',
  metal: 'wire',
  steel: 'wire',
  brass: 'wire',
  bronze: 'wire',
  wound: 'wound',
  wrapped: 'wound',
}

const neighbourMade: Reader = (text) => {
  const found = new RegExp(`^${NEXT} is (?:of )?(\\w+)$`).exec(text)
  const seen = found && MADE_OF[itemAt(found, 2)]
  return found && seen ? [{ kind: 'neighbour’s material', side: sideOf(itemAt(found, 1)), seen }] : null
}

/** Single words and short phrases, each with what it says. */
const WORDS: readonly (readonly [form: RegExp, clues: readonly Clue[]])[] = [
  [/^(?:thin|fine|thinnish)$/, [{ kind: 'thickness', seen: 'thin' }]],
  [/^(?:thick|fat|heavy)$/, [{ kind: 'thickness', seen: 'thick' }]],
  [/^(?:middling|medium|neither thin nor thick)$/, [{ kind: 'thickness', seen: 'middling' }]],
  [
    /^(?:clear|transparent|see through)$/,
    [
      { kind: 'look', seen: 'glassy' },
      { kind: 'colour', seen: 'natural' },
    ],
  ],
  [/^(?:glassy|no grain(?: at all)?|like fishing line)$/, [{ kind: 'look', seen: 'glassy' }]],
  [/^(?:grey|gray|grey tinged|greyish)$/, [{ kind: 'look', seen: 'grey-tinged' }]],
  [
    /^(?:cream|amber|yellowish|cream to amber)$/,
    [
      { kind: 'look', seen: 'grain' },
      { kind: 'colour', seen: 'natural' },
    ],
  ],
  [/^(?:grain|fibres?|twisted(?: fibres?)?|fine lines|gut)$/, [{ kind: 'look', seen: 'grain' }]],
  [/^(?:metallic|metal|shiny|wire)$/, [{ kind: 'look', seen: 'metallic' }]],
  [/^(?:ribbed|wound|wrapped)$/, [{ kind: 'look', seen: 'ribbed' }]],
  [/^red$/, [{ kind: 'colour', seen: 'red' }]],
  [/^(?:blue|black|dark)$/, [{ kind: 'colour', seen: 'dark' }]],
  [/^(?:natural|undyed|no colour|uncoloured|not coloured)$/, [{ kind: 'colour', seen: 'natural' }]],
  [/^(?:springs? back|recovers(?: at once)?|no crease)$/, [{ kind: 'bend', seen: 'springs back' }]],
  [/^(?:holds? a crease|creases?|white mark|whitens)$/, [{ kind: 'bend', seen: 'holds a crease' }]],
  [/^(?:holds? a kink|kinks?|stays bent)$/, [{ kind: 'bend', seen: 'holds a kink' }]],
  [/^(?:slick|smooth|slippery)$/, [{ kind: 'nail', seen: 'slick' }]],
  [/^(?:faintly rough|rough|dry)$/, [{ kind: 'nail', seen: 'faintly rough' }]],
  [/^(?:rasps?|rasping)$/, [{ kind: 'nail', seen: 'rasps' }]],
  [/^hard$/, [{ kind: 'nail', seen: 'hard' }]],
  [/^cold$/, [{ kind: 'cold', seen: true }]],
  [/^(?:not cold|warm)$/, [{ kind: 'cold', seen: false }]],
]

const word: Reader = (text) => WORDS.find(([form]) => form.test(text))?.[1] ?? null

/** `next to a red one`: on which side nobody said. */
const beside: Reader = (text) => {
  const what = besideWhat(text)
  return what === 'red' || what === 'dark' ? [{ kind: 'beside colour', seen: what }] : null
}

/** What a string of each make looks like. */
const LOOKS_OF: Readonly<Record<MaterialClass, Look>> = {
  gut: 'grain',
  silk: 'grain',
  nylon: 'glassy',
  fluorocarbon: 'grey-tinged',
  wire: 'metallic',
  wound: 'ribbed',
}

/** A material by its name in any of the five languages: it is what the string looks like. */
const made: Reader = (text) => {
  const written = layersWritten(bareWord(text))
  if (!written) return null
  const [outer, core] = written.layers
  if (core !== undefined) return [{ kind: 'look', seen: LOOKS_OF.wound }]
  return outer
    ? [{ kind: 'look', seen: LOOKS_OF[materialClass({ kind: 'plain', material: outer, gauge: 0.001 })] }]
    : null
}

/** A word with an article before it and “one” after it: `the red one`. */
const bare: Reader = (text, bench) => word(inEnglish(bareWord(text)), bench)

const READERS: readonly Reader[] = [word, beside, place, bare, made, neighbourSound, neighbourMade, measured]
