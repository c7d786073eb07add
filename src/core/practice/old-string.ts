/**
 * *One old string*: which good string to take off and put back, to learn how. Easy to reach, sound, with a long tail;
 * a wire only where it is old, since it is bent once too often for anything else.
 */
import { isWire } from '../fitting/thin'
import { spanOf, samePiece, type Instrument, type StringPosition } from '../instrument/instrument'
import { directlyOver } from '../instrument/layers'
import { isOnFoot } from '../knots/fastenings'
import { utilisation } from '../strings/tension'
import type { Condition } from '../wear/life'

/** A string that is on. */
export interface StringOn {
  readonly number: number
  /** As it was seen last; null where nobody looked. */
  readonly condition: Condition | null
  /** Since it was put on, or put back, years; null where nobody knows. */
  readonly age: number | null
  /** Its tail is still long: it hangs parked on the neck. */
  readonly hasTail: boolean
  /** Chance that it breaks of itself within a year. */
  readonly chance: number
}

export interface OldString {
  readonly number: number
  /** Why this one, in a few words each. */
  readonly because: readonly string[]
  readonly hasTail: boolean
  /** Then a new one goes on after it. */
  readonly isWire: boolean
}

/** A string that is as likely as this to break within the year is too old to be bent again. */
const TOO_OLD = 0.35
/** Younger than this it has hardly settled, years. */
const SETTLED = 0.08
/** From this age a wire may be given up for learning, years. */
const OLD_WIRE = 3

/** Why a string can’t serve; null where it can. */
export function whyNotOld(instrument: Instrument, position: StringPosition, on: StringOn): string | null {
  if (position.construction.kind === 'wound') return 'it is wound, and is spoilt by a second bend'
  if (samePiece(instrument, position).length > 1) return 'it is two strings of one piece'
  if (isOnFoot(position)) return 'it is wrapped on a foot with others'
  if (directlyOver(instrument, position).length > 0) return 'another string lies over it'
  if (on.condition === 'worn' || on.condition === 'fraying') return 'it is worn'
  if (on.chance > TOO_OLD) return 'it is too old to be bent again'
  if (isWire(position.construction) && (on.age === null || on.age < OLD_WIRE))
    return 'it is wire that may not be old: bent twice, it is lost'
  if (on.age !== null && on.age < SETTLED) return 'it has not settled yet'
  return null
}

/** The string to practise on, the best first; none where no string can serve. */
export function oldStrings(instrument: Instrument, strings: readonly StringOn[]): readonly OldString[] {
  const on = new Map(strings.map((one) => [one.number, one]))
  const middle = (instrument.positions.length + 1) / 2
  return instrument.positions
    .flatMap((position) => {
      const own = on.get(position.number)
      if (!own || whyNotOld(instrument, position, own) !== null) return []
      const work = utilisation(
        position.construction,
        position.speakingLength,
        spanOf(instrument, position).pitch,
      )
      // The middle of the range is where both hands reach and nothing is very thin, or very thick.
      const away = Math.abs(position.number - middle) / Math.max(1, middle)
      const worth =
        (own.hasTail ? 1 : 0) - 0.8 * away - 0.6 * work - 0.8 * own.chance - (position.mechanism ? 0.1 : 0)
      return [{ position, own, away, worth, work }]
    })
    .sort((a, b) => b.worth - a.worth || a.position.number - b.position.number)
    .map(({ position, own, away, work }) => ({
      number: position.number,
      hasTail: own.hasTail,
      isWire: isWire(position.construction),
      because: [
        ...(own.hasTail ? ['its tail is still long'] : []),
        ...(away < 0.5 ? ['it lies where both hands reach'] : []),
        ...(own.condition === null ? [] : ['it was seen to be sound']),
        ...(work < 0.6 ? ['it is far from breaking'] : []),
        isWire(position.construction) ? 'it is an old wire, and is replaced soon' : 'it is no wire',
      ],
    }))
}
