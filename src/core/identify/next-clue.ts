/**
 * Which clue to look for next: the question whose answer is expected to settle the most.
 */
import { itemAt } from '../list/item-at'
import { asLeading } from './as-leading'
import { gaugeOf, restPitch, type Instrument } from '../instrument/instrument'
import {
  BENDS,
  LOOKS,
  NAILS,
  NEIGHBOURS_SEEN,
  THICKNESSES,
  clueKey,
  type AskedClue,
  type AskedKind,
  type Clue,
  type SeenColour,
  type Side,
} from './clue'
import { lengthOn, likelihood } from './likelihood'
import { entropy, normalised, posterior } from './posterior'

export interface NextClue {
  /** The question, as {@link clueKey} names it. */
  readonly key: string
  readonly kind: AskedKind
  readonly side: Side | null
  /** Expected fall in entropy, bits. */
  readonly settles: number
  /** How many strings it stays between, before and on average after: two to the power of the entropy. */
  readonly between: { readonly now: number; readonly then: number }
}

const SIDES: readonly Side[] = ['shorter', 'longer']
const COLOURED = ['red', 'dark'] as const
/** Answers that a measured quantity is cut into. */
const BINS = 48

/**
 * Ranks the questions that have not been answered yet.
 *
 * @param instrument - at hand
 * @param clues - given so far
 * @param gaugeError - standard error of the calliper at hand, m
 * @returns the most telling first; those that would settle nothing are left out
 */
export function nextClues(
  instrument: Instrument,
  clues: readonly Clue[],
  gaugeError: number,
): readonly NextClue[] {
  const asked = new Set(clues.map(clueKey))
  const now = posterior(instrument, clues)
  const before = entropy(now)
  return questionsOn(instrument, gaugeError)
    .filter(
      ([first]) => first !== undefined && !asked.has(clueKey(first)) && !answeredByAnother(first, asked),
    )
    .map((answers): NextClue => {
      const after = expectedEntropy(instrument, now, answers)
      const first = itemAt(answers, 0)
      return {
        key: clueKey(first),
        kind: first.kind,
        side: 'side' in first ? first.side : null,
        settles: before - after,
        between: { now: 2 ** before, then: 2 ** after },
      }
    })
    .filter(({ settles }) => settles > 0.02)
    .sort((a, b) => asLeading(b.settles) - asLeading(a.settles))
    .filter(({ kind }, i, all) => kind !== 'counted' || all.findIndex((other) => other.kind === kind) === i)
}

/** A measured gauge says more than thin or thick; a count from one end is as good as from the other. */
function answeredByAnother(question: Clue, asked: ReadonlySet<string>): boolean {
  if (question.kind === 'thickness') return asked.has('gauge')
  return question.kind === 'counted' && (asked.has('counted top') || asked.has('counted bottom'))
}

/** Every question with all the answers it can get here. */
function questionsOn(instrument: Instrument, gaugeError: number): readonly (readonly AskedClue[])[] {
  const { positions } = instrument
  const dyed = positions.some((p) => p.colour !== 'natural')
  const gauges = positions.map(gaugeOf)
  const lengths = positions.map(lengthOn)
  return [
    ...(['top', 'bottom'] as const).map((from) =>
      positions.map((p): AskedClue => ({ kind: 'counted', from, number: p.number })),
    ),
    ...(dyed
      ? [
          (['red', 'dark', 'natural'] as const).map((seen: SeenColour): AskedClue => ({
            kind: 'colour',
            seen,
          })),
        ]
      : []),
    ...(dyed
      ? [1, -1].map((sign) =>
          [1, 2, 3].flatMap((away) =>
            COLOURED.map((seen): AskedClue => ({ kind: 'coloured neighbour', seen, away: sign * away })),
          ),
        )
      : []),
    between(0.95 * Math.min(...gauges), 1.03 * Math.max(...gauges)).map((measured): AskedClue => ({
      kind: 'gauge',
      measured,
      error: gaugeError,
      worn: true,
    })),
    THICKNESSES.map((seen): AskedClue => ({ kind: 'thickness', seen })),
    between(0.3 * Math.min(...lengths), 1.1 * Math.max(...lengths)).map((length): AskedClue => ({
      kind: 'pieces',
      length,
    })),
    LOOKS.map((seen): AskedClue => ({ kind: 'look', seen })),
    BENDS.map((seen): AskedClue => ({ kind: 'bend', seen })),
    NAILS.map((seen): AskedClue => ({ kind: 'nail', seen })),
    [true, false].map((seen): AskedClue => ({ kind: 'cold', seen })),
    ...SIDES.map((side) =>
      positions.map((p): AskedClue => ({ kind: 'neighbour’s pitch', side, pitch: restPitch(instrument, p) })),
    ),
    ...SIDES.map((side) =>
      NEIGHBOURS_SEEN.map((seen): AskedClue => ({ kind: 'neighbour’s material', side, seen })),
    ),
  ]
}

/** Points evenly spread by ratio, ends included. */
function between(least: number, most: number): number[] {
  return Array.from({ length: BINS }, (_, i) => least * (most / least) ** (i / (BINS - 1)))
}

/** Entropy that is left on average: Σ P(answer) · H(position | answer), the answers made into chances for each position. */
function expectedEntropy(instrument: Instrument, now: readonly number[], answers: readonly Clue[]): number {
  const chances = instrument.positions.map((p) =>
    normalised(answers.map((answer) => likelihood(answer, p, instrument))),
  )
  return answers.reduce((sum, _, a) => {
    const joint = now.map((p, i) => p * itemAt(itemAt(chances, i), a))
    const chance = joint.reduce((total, j) => total + j, 0)
    return chance > 0 ? sum + chance * entropy(normalised(joint)) : sum
  }, 0)
}
