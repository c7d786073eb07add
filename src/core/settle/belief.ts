/**
 * What is known of how fast a string settles: its drift as a share of what strings like it do, by a tree of normal
 * distributions. A string is one of its instrument and material, those are some of the material in this house, and that is
 * one of the material at large. Readings of one string so teach the next, the more the nearer it is; messages up and down the
 * tree give the exact posterior, without sampling.
 */
import { requireValue } from '../list/require-value'
import { driftCents, type DriftModel } from './drift'
import type { CentsReading } from './cents-reading'
import { LAW_OFF, READING_OFF, weatherOff, type Weather } from './weather'

/** How far shares differ, as standard deviations: estimates that `npm run science` holds against simulated houses. */
export const SPREAD = {
  /** A string from its instrument and material. */
  string: 0.4,
  /** An instrument and material from the material in the house. */
  instrument: 0.15,
  /** A material in the house from the material at large. */
  workshop: 0.2,
} as const

/** What is known of one string before the tree is asked. */
export interface Evidence {
  readonly id: string
  /** Strings of one instrument and material have the same. */
  readonly instrument: string
  readonly material: string
  /** The law that it starts from, helped or moved as it was. */
  readonly start: DriftModel
  readonly weather: Weather
  /** Those that are of its settling. */
  readonly readings: readonly CentsReading[]
}

/** A normal belief about a share. */
export interface Share {
  readonly mean: number
  /** Standard deviation. */
  readonly off: number
}

/** A message of the tree: a normal distribution by its precision and the precision times its mean. */
interface Message {
  readonly precision: number
  readonly weighted: number
}

const NOTHING: Message = { precision: 0, weighted: 0 }
const plus = (a: Message, b: Message): Message => ({
  precision: a.precision + b.precision,
  weighted: a.weighted + b.weighted,
})
const minus = (a: Message, b: Message): Message => ({
  precision: a.precision - b.precision,
  weighted: a.weighted - b.weighted,
})
/** The same, once more uncertain by a spread. */
function through({ precision, weighted }: Message, spread: number): Message {
  const blurred = precision / (1 + precision * spread ** 2)
  return { precision: blurred, weighted: precision === 0 ? 0 : (weighted / precision) * blurred }
}

/** What a string's own readings say of its share. */
function ownMessage({ start, weather, readings }: Evidence): Message {
  return readings
    .map(({ tuned, left, age, cents, weather: known }): Message => {
      const fall = -driftCents(start, tuned, age)
      const strays = known ? known.off : weatherOff(weather, age - tuned)
      const variance = READING_OFF ** 2 + (LAW_OFF * fall) ** 2 + strays ** 2
      const settled = left - cents + (known?.mean ?? 0)
      return { precision: fall ** 2 / variance, weighted: (fall * settled) / variance }
    })
    .reduce(plus, NOTHING)
}

/** The beliefs of a house: what its strings have taught. */
export class SettlingBeliefs {
  private readonly own = new Map<string, Message>()
  private readonly instruments = new Map<string, Message>()
  private readonly materials = new Map<string, Message>()

  /** @param strings - all that settle, each once */
  constructor(strings: readonly Evidence[]) {
    const materialOf = new Map<string, string>()
    for (const string of strings) {
      const own = ownMessage(string)
      this.own.set(string.id, own)
      this.instruments.set(
        string.instrument,
        plus(this.instruments.get(string.instrument) ?? NOTHING, through(own, SPREAD.string)),
      )
      materialOf.set(string.instrument, string.material)
    }
    for (const [instrument, message] of this.instruments) {
      const material = requireValue(materialOf.get(instrument))
      this.materials.set(
        material,
        plus(this.materials.get(material) ?? NOTHING, through(message, SPREAD.instrument)),
      )
    }
  }

  /**
   * The share of one string, which may be among them or not: its own readings are those given, and all others teach it.
   *
   * @returns as a share of its starting law
   */
  of(string: Evidence): Share {
    const before = through(this.own.get(string.id) ?? NOTHING, SPREAD.string)
    const others = minus(this.instruments.get(string.instrument) ?? NOTHING, before)
    const wholeInstrument = this.instruments.get(string.instrument) ?? NOTHING
    const otherInstruments = minus(
      this.materials.get(string.material) ?? NOTHING,
      through(wholeInstrument, SPREAD.instrument),
    )
    const atLarge: Message = { precision: 1 / SPREAD.workshop ** 2, weighted: 1 / SPREAD.workshop ** 2 }
    const workshop = plus(atLarge, otherInstruments)
    const instrument = plus(through(workshop, SPREAD.instrument), others)
    const { precision, weighted } = plus(through(instrument, SPREAD.string), ownMessage(string))
    return {
      mean: Math.min(MAX_DRIFT_RATIO, Math.max(MIN_DRIFT_RATIO, weighted / precision)),
      off: 1 / Math.sqrt(precision),
    }
  }
}

/** The share of a string that nothing is known of but its material. */
export const ANY_STRING: Share = {
  mean: 1,
  off: Math.hypot(SPREAD.string, SPREAD.instrument, SPREAD.workshop),
}

/** No string's drift is taken to be less or more than its like's by more than these, whatever was typed. */
const MIN_DRIFT_RATIO = 0.2
const MAX_DRIFT_RATIO = 5

/** A string's own law: the starting one at its share. */
export function lawAt(start: DriftModel, { mean }: Share): DriftModel {
  return { ...start, perDecade: start.perDecade * mean }
}
