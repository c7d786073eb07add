/**
 * How layered feet share the strings.
 */
import type { Instrument } from '../instrument/instrument'
import { gaugeOf } from '../instrument/instrument'
import { isOnFoot } from '../knots/fastenings'
import { sameLayers } from '../instrument/layers'
import type { FittingContext } from './context'
import type { Habits } from './habits'

/** What a peg is trusted to bring up, semitones: a string that is wrapped slacker never presses its layer tight. */
const FEW = 4

/** How far below pitch a string may sound when it is wrapped, semitones: no more than a quarter turn of its peg brings up. */
export function wrapBelowPitch({ quarterTurn }: { readonly quarterTurn: number | null }): number {
  return Math.min(FEW, quarterTurn ?? FEW)
}

export interface FootShare {
  /** Numbers of the strings on the foot of the longer, lower ones. */
  readonly low: readonly number[]
  readonly high: readonly number[]
}

/** How many low strings share a foot under each named way. */
const LOW = { 'four low and three high': 4, 'three and four when the basses are thick': 3 } as const

/** The named ways to share them. */
export const FOOT_SHARES = Object.keys(LOW) as readonly (keyof typeof LOW)[]

/** The share that a house's habit asks for; null on an instrument without layered feet. */
export function footShare(instrument: Instrument, habit: Habits['feet']): FootShare | null {
  const strings = instrument.positions.filter(isOnFoot)
  if (strings.length < 2) return null
  const split = (low: number): FootShare => {
    const numbers = strings.map((p) => p.number)
    return { high: numbers.slice(0, numbers.length - low), low: numbers.slice(numbers.length - low) }
  }
  if (habit !== 'by thickness') return split(Math.min(strings.length - 1, LOW[habit]))
  const thickness = (numbers: readonly number[]) =>
    strings.filter((p) => numbers.includes(p.number)).reduce((sum, p) => sum + gaugeOf(p), 0)
  const uneven = (share: FootShare) => Math.abs(thickness(share.low) - thickness(share.high))
  const shares = strings.slice(1).map((_, i) => split(i + 1))
  return shares.reduce((best, share) => (uneven(share) < uneven(best) ? share : best))
}

/**
 * Numbers of the strings that share a foot with the string in hand, itself among them: as they lie now where one string is
 * changed, as the method shares them where all are wrapped anew.
 */
export function footOf({
  instrument,
  position,
  habits,
  state,
}: Pick<FittingContext, 'instrument' | 'position' | 'habits' | 'state'>): readonly number[] {
  const share = state.restring === null ? null : footShare(instrument, habits.feet)
  if (!share) return sameLayers(instrument, position).map(({ number }) => number)
  return [share.low, share.high].find((some) => some.includes(position.number)) ?? [position.number]
}

/** A string's turns on a foot. */
export interface FootTurn {
  readonly number: number
  /** m */
  readonly gauge: number
  /** How far its turns stand out from the wood, m: its own, and all that lie below. */
  readonly reach: number
}

/** The layers of a foot from the wood outward: the lowest and thickest string is wrapped first. */
export function footTurns(instrument: Instrument, numbers: readonly number[]): readonly FootTurn[] {
  let reach = 0
  return [...numbers]
    .sort((a, b) => b - a)
    .flatMap((number) => {
      const position = instrument.positions[number - 1]
      if (!position) return []
      const gauge = gaugeOf(position)
      reach += gauge
      return [{ number, gauge, reach }]
    })
}
