/**
 * What rounds of tuning show of a board: a ridge fit of how much more, or less, than reckoned each string feels of the
 * others. Every string leans on what the instrument's strings share, and that on the reckoning.
 */
import { itemAt } from '../list/item-at'
import type { SoundboardModel } from './soundboard-model'

/** A string at its turn in a round. */
export interface RoundEvent {
  /** Index of the string. */
  readonly string: number
  /** h, from whenever. */
  readonly at: number
  /** Cents from where it belongs, before and after it was tuned. */
  readonly found: number
  readonly left: number
}

/** A string read again: how far it fell, and how far the reckoning says it fell by what the others did. */
interface FallSeen {
  readonly string: number
  readonly fell: number
  readonly reckoned: number
  /** Standard deviation of what else it did, cents: a reading's error, weather and settling meanwhile. */
  readonly error: number
}

/** What is known of a board's effects, as factors on what was reckoned. */
export interface LearnedEffects {
  readonly shared: number
  /** Standard deviation of the shared factor. */
  readonly sharedOff: number
  readonly senses: readonly number[]
  /** Strings read again that it rests on. */
  readonly seen: number
}

/** The reckoning may be out by half, and a string from what its instrument's share: estimates. */
const SHARED_SPREAD = 0.5
const STRING_SPREAD = 0.15
/** Two readings and a hand, cents, and what a string does by itself in a day. */
const READ_TWICE = 0.8
const A_DAY = 2
/** Longer apart, weather says more than the others do, h. */
const TOO_LONG = 48
/** No board yields less than this share of what is reckoned, whatever was read. */
const MIN_YIELD = 0.05
/** A fall that the others can't explain by any factor is a slip, cents. */
const NO_SLIP = 30

/** Every factor changes what the others do as well: so often it is fitted anew, to within what matters. */
const FITS = 4

/**
 * @param boardFor - the board as it is reckoned, at the factors given
 * @param strings - how many there are
 * @param events - what was found and left, in order of time
 * @param settled - by how much a string settles by itself from one time to another, cents down
 */
export function learnEffects(
  boardFor: (senses: readonly number[]) => SoundboardModel,
  strings: number,
  events: readonly RoundEvent[],
  settled: (string: number, from: number, to: number) => number = () => 0,
): LearnedEffects {
  let learned: LearnedEffects = {
    shared: 1,
    sharedOff: SHARED_SPREAD,
    senses: Array.from({ length: strings }, () => 1),
    seen: 0,
  }
  for (let fit = 0; fit < FITS; fit += 1) {
    const { senses } = learned
    learned = fitted(senses, fallsSeen(boardFor(senses), events, settled))
    if (learned.seen === 0) break
  }
  return learned
}

/** Falls between two turns of a string, with what the others did in between. */
function fallsSeen(
  board: SoundboardModel,
  events: readonly RoundEvent[],
  settled: (string: number, from: number, to: number) => number,
): readonly FallSeen[] {
  const last = new Map<number, number>()
  return events.flatMap((event, k): FallSeen[] => {
    const before = last.get(event.string)
    last.set(event.string, k)
    const was = before === undefined ? undefined : events[before]
    if (before === undefined || !was || event.at - was.at > TOO_LONG) return []
    const reckoned = events
      .slice(before + 1, k)
      .reduce(
        (sum, { string, found, left }) => sum + board.fallPerCent(event.string, string) * (left - found),
        0,
      )
    const fell = was.left - event.found - settled(event.string, was.at, event.at)
    if (Math.abs(fell - reckoned) > NO_SLIP) return []
    const error = Math.hypot(READ_TWICE, (A_DAY * (event.at - was.at)) / 24)
    return [{ string: event.string, fell, reckoned, error }]
  })
}

/** @param at - the factors that the falls were reckoned at */
function fitted(at: readonly number[], seen: readonly FallSeen[]): LearnedEffects {
  // What a string's own falls say of its factor: precision, and precision times mean.
  const own = at.map(() => ({ precision: 0, weighted: 0 }))
  for (const { string, fell, reckoned, error } of seen) {
    const one = itemAt(own, string)
    const each = reckoned / Math.max(MIN_YIELD, itemAt(at, string))
    one.precision += (each / error) ** 2
    one.weighted += (each * fell) / error ** 2
  }
  let [precision, weighted] = [SHARED_SPREAD ** -2, SHARED_SPREAD ** -2]
  for (const one of own) {
    if (one.precision === 0) continue
    const through = 1 / (1 / one.precision + STRING_SPREAD ** 2)
    precision += through
    weighted += through * (one.weighted / one.precision)
  }
  const shared = Math.max(MIN_YIELD, weighted / precision)
  const lean = STRING_SPREAD ** -2
  return {
    shared,
    sharedOff: precision ** -0.5,
    senses: own.map((one) => Math.max(MIN_YIELD, (lean * shared + one.weighted) / (lean + one.precision))),
    seen: seen.length,
  }
}
