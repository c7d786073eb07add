/**
 * A whole instrument brought up from slack strings: round after round from the low notes, what each round leaves, and when the new
 * strings hold.
 */
import type { Instrument } from '../instrument/instrument'
import { boardStrings, type BoardYields } from '../rounds/board'
import { SoundboardModel } from '../rounds/soundboard-model'
import { worstOff } from '../rounds/tuning-round'
import { newLaw, readyFrom } from '../settle/drift'
import { coreMaterial } from '../strings/construction'

/** A round, and what it leaves. */
export interface BroughtRound {
  /** How far the string that is furthest off stands from pitch when the round is over, and how far all do on average, cents. */
  readonly worst: number
  readonly mean: number
  /** The string that is furthest off, its number. */
  readonly furthest: number
}

export interface BringingUp {
  readonly rounds: readonly BroughtRound[]
  /** Every string holds within what the house retunes at for an hour, from this age of the last one on, h. */
  readonly playable: number
  /** And for a week. */
  readonly stable: number
}

const MOST_ROUNDS = 8
const HOUR_LONG = 1
const WEEK_LONG = 168

/**
 * @param tolerance - the house retunes at so many cents
 * @param senses - how much more than reckoned each string feels of the others
 * @param within - no string is further off when the rounds are over, cents
 */
export function bringUp(
  instrument: Instrument,
  yields: BoardYields,
  tolerance: number,
  within: number,
  senses: readonly number[] = [],
): BringingUp {
  const strings = boardStrings(instrument)
  const board = new SoundboardModel(strings, yields, senses)
  // The lowest first: they pull most, and what comes after disturbs them least.
  const order = strings
    .map((_, i) => i)
    .sort((a, b) => (strings[a]?.semitone ?? 0) - (strings[b]?.semitone ?? 0) || b - a)
  let turns: readonly number[] = strings.map(() => -Infinity)
  let standing: readonly number[] = turns
  const rounds: BroughtRound[] = []
  do {
    for (const which of order) ({ turns, standing } = board.tuned(turns, standing, which, 0))
    const off = standing.map(Math.abs)
    const worst = worstOff(standing)
    rounds.push({
      worst,
      mean: off.reduce((a, b) => a + b, 0) / off.length,
      furthest: instrument.positions[off.indexOf(worst)]?.number ?? 1,
    })
  } while ((rounds.at(-1)?.worst ?? 0) > within && rounds.length < MOST_ROUNDS)
  const ready = (hours: number) =>
    Math.max(
      ...instrument.positions.map(({ construction }) =>
        readyFrom(newLaw(coreMaterial(construction).drift), tolerance, hours),
      ),
    )
  return { rounds, playable: ready(HOUR_LONG), stable: ready(WEEK_LONG) }
}
