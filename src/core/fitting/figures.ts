/**
 * All figures of one fitting, from the pin’s slack to the cut.
 */
import { gaugeOf, samePiece, spanOf, type Instrument, type StringPosition } from '../instrument/instrument'
import { isKnotted, isOnFoot, knotConsumption, tailFacts, type HeadFastening } from '../knots/fastenings'
import type { StringEnd } from '../knots/string-ends'
import { twistedEnd, type TwistedEnd } from '../knots/twisted-end'
import { itemAt } from '../list/item-at'
import { driftCents, FIRST_TUNED, newLaw } from '../settle/drift'
import { helped } from '../settle/stretching'
import { coreMaterial, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import {
  semitonesWithin,
  stretchPerSemitone,
  stretchToBreaking,
  stretchToPitch,
  stretchWhileSettling,
} from '../strings/stretch'
import { marginWord, semitonesToBreaking, tension, utilisation, type Margin } from '../strings/tension'
import {
  corrected,
  cutForFoot,
  cutForKnottedString,
  cutForLoopedString,
  cutForPairedWire,
  wayRoundPosts,
  type CutSum,
  type Run,
} from '../winding/cut'
import type { WrapLay } from '../winding/lay'
import {
  bankOfWraps,
  drawnPerTurn,
  pullLeftAtHole,
  standHigher,
  turnsToTakeUp,
  type Bank,
} from '../winding/pin'
import { wrapsFromSlack } from '../winding/slack'
import { NO_CORRECTIONS, type Corrections } from './corrections'
import type { Habits } from './habits'
import { headWay, isCutFlush, layOf, wrapsWanted } from './head-way'
import { withWorkshopKnot } from './workshop-knot'
import { pulledAside, slackFigures, type PulledAside, type SlackFigures } from './slack-figures'
import { anchorReason, isThin, isWire, type AnchorReason } from './thin'

export interface KeyFigures {
  /** Degrees of the key from snug to half the pitch. */
  readonly snugToHalf: number
  /** Turns of the pin from snug to pitch. */
  readonly snugToPitchTurns: number
  /** Degrees of the key; a gear is reckoned in. */
  readonly snugToPitch: number
  readonly perSemitone: number
  readonly toBreaking: number
  /** Further degrees of the key that two weeks of settling will take after each cycle of helping it: none given, one, two, and so on to the house's number. */
  readonly settlingAfter: readonly number[]
  /** The same after as many cycles as the house gives. */
  readonly settling: number
  /** Semitones that the last quarter turn of the pin or peg brings it up by; null where it draws more than the whole stretch. */
  readonly quarterTurn: number | null
}

export interface StringFigures {
  readonly position: StringPosition
  readonly gauge: number
  readonly pitch: number
  readonly tension: number
  readonly utilisation: number
  /** Utilisation at the knot, where the string keeps only a share of its strength; null where no knot is tied. */
  readonly knotUtilisation: number | null
  readonly margin: Margin
  readonly semitonesToBreaking: number
  readonly stretch: number
  readonly drawnPerTurn: number
  readonly key: KeyFigures
  /** How it is held on its pin, and how its wraps lie there. */
  readonly head: HeadFastening
  readonly lay: WrapLay
  readonly thin: boolean
  /** What the house wants at pitch. */
  readonly wrapsWanted: number
  /** On the pin at pitch: from slack and stretch together, and what the house has learned. */
  readonly wraps: number
  /** The same by the sum alone. */
  readonly wrapsBySum: number
  readonly slack: SlackFigures
  /** Of the second string of a wire that goes round two posts: how far the first, wound already, is pulled aside so that its slack is left; null for any other. */
  readonly pair: PulledAside | null
  readonly bank: Bank
  readonly pullLeftAtHole: number
  /** How much higher a threaded pin stands before winding, m, whatever turns it was given before; null for a plain pin. */
  readonly standHigher: number | null
  /** Of its datum above the wood before winding, m; null for a plain pin. */
  readonly standsAt: number | null
  /** Turns of the pin from its playing state to where it must stand. */
  readonly turnsOut: number
}

export interface FittingFigures {
  /** One for each position that this string serves, in the order they are wound. */
  readonly strings: readonly StringFigures[]
  readonly construction: Construction
  readonly cut: CutSum
  readonly needsAnchor: boolean
  /** The loop that is twisted at its end; null where it needs none or has one. */
  readonly twist: TwistedEnd | null
  /** Why it gets an anchor; null where it gets none. */
  readonly anchor: AnchorReason | null
  /** Left past the hole to hold while winding, m; zero where the end is cut flush. */
  readonly tail: number
  /** Share of change in tension against the charted string; 0 when it is the charted one. */
  readonly againstChart: number
  /** What the house's own fittings changed in these figures. */
  readonly corrections: Corrections
}

/** Two weeks: by then a new string has done most of its settling. */
const SETTLING_HOURS = 336

/**
 * Works out a fitting.
 *
 * @param instrument - with its geometry
 * @param charted - any position that the string serves
 * @param habits - the house's
 * @param construction - of the coil chosen; the charted string when left out
 * @param corrections - what the house's own fittings have taught
 * @param end - of the string in hand; the end that its place asks for when left out
 */
export function fittingFigures(
  instrument: Instrument,
  charted: StringPosition,
  habits: Habits,
  construction = charted.construction,
  corrections = NO_CORRECTIONS,
  end?: StringEnd,
): FittingFigures {
  const position = withWorkshopKnot(charted, habits)
  const anchor = anchorReason(instrument, charted, position.tail.fastening, construction, habits)
  const tail = tailLeft(position, habits)
  const strings = samePiece(instrument, charted).map((p) =>
    stringFigures(instrument, p, habits, construction, corrections),
  )
  const [first, second] = strings as unknown as readonly [StringFigures, StringFigures?]
  const all = second
    ? [first, { ...second, pair: pulledAside(instrument, first.position, second.slack.length) }]
    : strings
  const twist = twistFor(first, strings.length, end)
  return {
    strings: all,
    twist,
    construction,
    corrections,
    anchor,
    tail,
    cut: corrected(cutOf(strings, habits, tail, twist), corrections.cut.by),
    needsAnchor: anchor !== null,
    againstChart: first.tension / tension(position.construction, position.speakingLength, first.pitch) - 1,
  }
}

/** What is left past the hole to hold by, m: past the pin of a string cut flush stand slack and hole alone. */
function tailLeft(position: StringPosition, habits: Habits): number {
  return isCutFlush(position, habits) ? 0 : habits.tail
}

function stringFigures(
  instrument: Instrument,
  charted: StringPosition,
  habits: Habits,
  construction: Construction,
  corrections: Corrections,
): StringFigures {
  const position = withWorkshopKnot(charted, habits)
  const thin = isThin(instrument, charted, construction, habits)
  const { pin } = position.head
  const span = spanOf(instrument, position, construction)
  const gauge = outerGauge(construction)
  const core = coreMaterial(construction)
  const u = utilisation(construction, position.speakingLength, span.pitch)
  const stretch = stretchToPitch(span)
  const degrees = (length: number) =>
    turnsToTakeUp(Math.max(0, length), pin.diameter, gauge) * 360 * pin.gearRatio
  const law = newLaw(core.drift)
  const leftAfter = (cycles: number) =>
    degrees(
      stretchWhileSettling(
        span,
        -driftCents(helped(law, habits.stretching, cycles), FIRST_TUNED, SETTLING_HOURS),
      ),
    )
  // A wire is never helped.
  const cycles = isWire(construction) || habits.stretching === 'leave it alone' ? 0 : habits.stretchCycles
  const settlingAfter = Array.from({ length: cycles + 1 }, (_, i) => leftAfter(i))
  const head = headWay(position, { thin, wire: isWire(construction) }, habits)
  const lay = layOf(head, position, habits)
  const wanted = wrapsWanted(position, gauge, lay, habits)
  const slack = slackFigures(instrument, position, habits, {
    gauge,
    stretch,
    lay,
    wanted: Math.max(0, wanted - corrections.wraps.by),
    more: corrections.wraps.by,
  })
  const wrapsBySum = wrapsFromSlack(slack.length, pin.diameter, gauge, stretch, lay)
  const wraps = Math.max(0, wrapsBySum + corrections.wraps.by)
  return {
    position,
    gauge,
    stretch,
    slack,
    wraps,
    wrapsBySum,
    head,
    lay,
    pair: null,
    thin,
    wrapsWanted: wanted,
    pitch: span.pitch,
    tension: tension(construction, position.speakingLength, span.pitch),
    utilisation: u,
    knotUtilisation: isKnotted(position.tail.fastening) ? u / core.knotKeeps : null,
    margin: marginWord(u),
    semitonesToBreaking: semitonesToBreaking(u),
    drawnPerTurn: drawnPerTurn(pin.diameter, gauge),
    key: {
      snugToHalf: degrees(stretchToPitch({ ...span, pitch: span.pitch / 2 })),
      snugToPitchTurns: turnsToTakeUp(stretch, pin.diameter, gauge),
      snugToPitch: degrees(stretch),
      perSemitone: degrees(stretchPerSemitone(span)),
      toBreaking: degrees(stretchToBreaking(span)),
      settlingAfter,
      settling: itemAt(settlingAfter, cycles),
      quarterTurn: semitonesWithin(span, drawnPerTurn(pin.diameter, gauge) / 4),
    },
    bank: bankOfWraps(pin, gauge, wraps, lay),
    pullLeftAtHole: pullLeftAtHole(surfaceMaterial(construction).friction, wraps),
    standHigher: pin.threadPitch === null ? null : standHigher(pin.threadPitch, wraps),
    standsAt: pin.threadPitch === null ? null : pin.height + standHigher(pin.threadPitch, wraps),
    turnsOut: pin.threadPitch === null ? 0 : wraps,
  }
}

/** The loop that has to be made at a string's end: a wire for a hitch pin that came without one, or one alone on a post. */
function twistFor(
  { position: { tail }, gauge }: StringFigures,
  strings: number,
  end: StringEnd | undefined,
): TwistedEnd | null {
  const { hold } = tailFacts(tail.fastening)
  const isMissing = hold === 'loop' ? end === 'plain' : hold === 'posts' && strings === 1 && end !== 'loop'
  if (!isMissing) return null
  return twistedEnd(gauge, tail.fastening === 'loop through itself' ? null : tail.postDiameter)
}

function cutOf(
  strings: readonly StringFigures[],
  habits: Habits,
  tailLength: number,
  twist: TwistedEnd | null,
): CutSum {
  const [first, second] = strings as readonly [StringFigures, StringFigures?]
  const {
    gauge,
    position: { tail },
  } = first
  if (second) {
    const spacing = Math.abs(first.position.at.tail.x - second.position.at.tail.x)
    return cutForPairedWire(
      runOf(first, tailLength),
      runOf(second, tailLength),
      wayRoundPosts(spacing, tail.postDiameter ?? 0, gauge),
    )
  }
  if (twist) return cutForLoopedString(runOf(first, tailLength), twist.takes)
  const knot = knotConsumption(tail.fastening, gauge, habits.knots)
  if (isOnFoot(first.position))
    return cutForFoot(runOf(first, tailLength), knot, tail.postDiameter ?? 0, gauge)
  return cutForKnottedString(runOf(first, tailLength), knot)
}

function runOf({ position, slack }: StringFigures, tail: number): Run {
  return {
    freeLength: position.freeLength,
    boardThickness: position.tail.boardThickness,
    slack: slack.length,
    pinDiameter: position.head.pin.diameter,
    tail,
  }
}

/** Charted figures of a position for the plate: everything that does not depend on a fitting. */
export function restFigures(instrument: Instrument, position: StringPosition) {
  const span = spanOf(instrument, position)
  const u = utilisation(position.construction, position.speakingLength, span.pitch)
  return {
    pitch: span.pitch,
    gauge: gaugeOf(position),
    tension: tension(position.construction, position.speakingLength, span.pitch),
    utilisation: u,
    margin: marginWord(u),
    semitonesToBreaking: semitonesToBreaking(u),
  }
}
