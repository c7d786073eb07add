/**
 * The questions that are answered by choosing, with their answers as a person would say them.
 */
import {
  BENDS,
  LOOKS,
  NAILS,
  NEIGHBOURS_SEEN,
  THICKNESSES,
  type Clue,
  type AskedKind,
  type Side,
} from '@/core/identify/clue'

export interface Answer {
  readonly word: string
  readonly clue: Clue
}

export interface ChoiceQuestion {
  readonly kind: AskedKind
  readonly side: Side | null
  readonly answers: readonly Answer[]
}

const LOOK_WORDS = {
  grain: 'Fine lines of twisted fibre',
  glassy: 'Glassy, no grain',
  'grey-tinged': 'Glassy, grey-tinged',
  metallic: 'Metallic',
  ribbed: 'Ribbed',
  'hidden by dye': 'Dye hides it',
} as const
const BEND_WORDS = {
  'springs back': 'Springs back at once',
  'holds a crease': 'Holds a crease',
  'holds a kink': 'Holds a kink',
} as const
const NAIL_WORDS = {
  slick: 'Slick',
  'faintly rough': 'Faintly rough, dry',
  rasps: 'It rasps',
  hard: 'Hard and smooth',
} as const
const THICKNESS_WORDS = { thin: 'Thin', middling: 'Middling', thick: 'Thick' } as const
const NEIGHBOUR_WORDS = {
  gut: 'Gut',
  nylon: 'Nylon',
  wire: 'Plain wire',
  wound: 'Wound',
  none: 'There is none',
} as const

/** Handled with the eye, the hand and the lip: one after the other they tell the material. */
export const EXAMINATION: readonly ChoiceQuestion[] = [
  {
    kind: 'look',
    side: null,
    answers: LOOKS.map((seen) => ({ word: LOOK_WORDS[seen], clue: { kind: 'look', seen } })),
  },
  {
    kind: 'bend',
    side: null,
    answers: BENDS.map((seen) => ({ word: BEND_WORDS[seen], clue: { kind: 'bend', seen } })),
  },
  {
    kind: 'nail',
    side: null,
    answers: NAILS.map((seen) => ({ word: NAIL_WORDS[seen], clue: { kind: 'nail', seen } })),
  },
  {
    kind: 'cold',
    side: null,
    answers: [
      { word: 'Cold', clue: { kind: 'cold', seen: true } },
      { word: 'Not cold', clue: { kind: 'cold', seen: false } },
    ],
  },
]

/** Seen without touching anything. */
export const SEEN: readonly ChoiceQuestion[] = [
  {
    kind: 'colour',
    side: null,
    answers: [
      { word: 'Red', clue: { kind: 'colour', seen: 'red' } },
      { word: 'Black or blue', clue: { kind: 'colour', seen: 'dark' } },
      { word: 'Undyed', clue: { kind: 'colour', seen: 'natural' } },
    ],
  },
  {
    kind: 'thickness',
    side: null,
    answers: THICKNESSES.map((seen) => ({ word: THICKNESS_WORDS[seen], clue: { kind: 'thickness', seen } })),
  },
]

/** The strings beside the gap. */
export const BESIDE: readonly ChoiceQuestion[] = (['longer', 'shorter'] as const).map((side) => ({
  kind: 'neighbour’s material',
  side,
  answers: NEIGHBOURS_SEEN.map((seen) => ({
    word: NEIGHBOUR_WORDS[seen],
    clue: { kind: 'neighbour’s material', side, seen },
  })),
}))
