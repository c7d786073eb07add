/**
 * Every figure of one fitting, for this very string on this very pin.
 */
import {
  gaugeOf, samePiece, spanOf, type Instrument, type StringPosition,
} from '../instrument/instrument'
import { lengthOfPins, pinsReached, spacingAt, type NeckReach } from '../instrument/neck'
import { isKnotted, knotConsumption, needsAnchor, tailFacts, type HeadFastening } from '../knots/fastenings'
import { driftCents, FIRST_TUNED, STARTING_TAU } from '../settle/drift'
import { coreMaterial, outerGauge, surfaceMaterial, type Construction } from '../strings/construction'
import { semitonesWithin, stretchPerSemitone, stretchToBreaking, stretchToPitch, stretchWhileSettling } from '../strings/stretch'
import { marginWord, semitonesToBreaking, tension, utilisation, type Margin } from '../strings/tension'
import { corrected, cutForFoot, cutForKnottedString, cutForPairedWire, wayRoundPosts, type CutSum, type Run } from '../winding/cut'
import type { WrapLay } from '../winding/lay'
import { bankOfWraps, drawnPerTurn, pullLeftAtHole, standHigher, turnsToTakeUp, type Bank } from '../winding/pin'
import { sidewaysPull, slackForWraps, wrapsFromSlack } from '../winding/slack'
import { NO_CORRECTIONS, type Corrections } from './corrections'
import { SLACK_INTERVALS, WRAPS_BAND, type Habits } from './habits'
import { headWay, isThin, layOf, wrapsWanted } from './head-way'
import { tiedBy } from './tied-by'

export interface KeyFigures {
  /** Turns of the pin from snug to pitch. */
  readonly snugToPitchTurns: number
  /** Degrees of the key; a gear is reckoned in. */
  readonly snugToPitch: number
  readonly perSemitone: number
  readonly toBreaking: number
  /** Further degrees of the key that two weeks of settling will take. */
  readonly settling: number
  /** Semitones that the last quarter turn of the pin or peg brings it up by; null where it draws more than the whole stretch. */
  readonly quarterTurn: number | null
}

export interface SlackFigures {
  /** Beyond the pin, m; zero where the stretch alone gives the wanted wraps. */
  readonly length: number
  readonly reach: NeckReach
  /** Sideways at mid-length, m, and counted in string spacings. */
  readonly pull: number
  readonly pullInStrings: number
  /** True where the stretch alone winds on more wraps than are wanted. */
  readonly stretchAloneIsMore: boolean
  /** What the house's own rule of thumb would give on this string. */
  readonly rule: { readonly pins: number; readonly length: number; readonly wraps: number; readonly within: boolean }
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
  readonly bank: Bank
  readonly pullLeftAtHole: number
  /** How much higher a threaded pin stands before winding, m; null for a plain pin. */
  readonly standHigher: number | null
}

export interface FittingFigures {
  /** One for each position that this string serves, in the order they are wound. */
  readonly strings: readonly StringFigures[]
  readonly construction: Construction
  readonly cut: CutSum
  readonly needsAnchor: boolean
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
 */
export function fittingFigures(
  instrument: Instrument, charted: StringPosition, habits: Habits, construction = charted.construction, corrections = NO_CORRECTIONS,
): FittingFigures {
  const position = tiedBy(charted, habits)
  const served = samePiece(instrument, charted).map((p) => tiedBy(p, habits))
  const strings = served.map((p) => stringFigures(instrument, p, habits, construction, corrections))
  const first = strings[0] as StringFigures
  return {
    strings, construction, corrections,
    cut: corrected(cutOf(strings, habits, construction), corrections.cut),
    needsAnchor: needsAnchor(position.tail.fastening, first.gauge, position.tail.eyeletBore),
    againstChart: first.tension / tension(position.construction, position.speakingLength, first.pitch) - 1,
  }
}

function stringFigures(instrument: Instrument, position: StringPosition, habits: Habits, construction: Construction, corrections: Corrections): StringFigures {
  const { pin } = position.head
  const span = spanOf(instrument, position, construction)
  const gauge = outerGauge(construction)
  const core = coreMaterial(construction)
  const u = utilisation(construction, position.speakingLength, span.pitch)
  const stretch = stretchToPitch(span)
  const degrees = (length: number) => turnsToTakeUp(Math.max(0, length), pin.diameter, gauge) * 360 * pin.gearRatio
  const drift = -driftCents({ perDecade: core.drift, tau: STARTING_TAU }, FIRST_TUNED, SETTLING_HOURS)
  const head = headWay(position, construction, habits)
  const lay = layOf(head, position, habits)
  const wanted = wrapsWanted(position, gauge, lay, habits)
  const slack = slackFigures(instrument, position, habits, { gauge, stretch, lay, wanted: Math.max(0, wanted - corrections.wraps) })
  const wrapsBySum = wrapsFromSlack(slack.length, pin.diameter, gauge, stretch, lay)
  const wraps = Math.max(0, wrapsBySum + corrections.wraps)
  return {
    position, gauge, stretch, slack, wraps, wrapsBySum, head, lay,
    thin: isThin(position, construction, habits),
    wrapsWanted: wanted,
    pitch: span.pitch,
    tension: tension(construction, position.speakingLength, span.pitch),
    utilisation: u,
    knotUtilisation: isKnotted(position.tail.fastening) ? u / core.knotKeeps : null,
    margin: marginWord(u),
    semitonesToBreaking: semitonesToBreaking(u),
    drawnPerTurn: drawnPerTurn(pin.diameter, gauge),
    key: {
      snugToPitchTurns: turnsToTakeUp(stretch, pin.diameter, gauge),
      snugToPitch: degrees(stretch),
      perSemitone: degrees(stretchPerSemitone(span)),
      toBreaking: degrees(stretchToBreaking(span)),
      settling: degrees(stretchWhileSettling(span, drift)),
      quarterTurn: semitonesWithin(span, drawnPerTurn(pin.diameter, gauge) / 4),
    },
    bank: bankOfWraps(pin, gauge, wraps, lay),
    pullLeftAtHole: pullLeftAtHole(surfaceMaterial(construction).friction, wraps),
    standHigher: pin.threadPitch === null ? null : standHigher(pin.threadPitch, wraps),
  }
}

interface SlackFor {
  readonly gauge: number
  readonly stretch: number
  readonly lay: WrapLay
  /** Wraps that the slack and the stretch are to give by the sum. */
  readonly wanted: number
}

function slackFigures(instrument: Instrument, position: StringPosition, habits: Habits, { gauge, stretch, lay, wanted }: SlackFor): SlackFigures {
  const { diameter } = position.head.pin
  const forWanted = slackForWraps(wanted, diameter, gauge, stretch, lay)
  const length = Math.max(0, forWanted)
  const pull = sidewaysPull(position.freeLength, length)
  const spacing = spacingAt(instrument, position)
  const rulePins = SLACK_INTERVALS[habits.slackInterval]
  const ruleLength = lengthOfPins(instrument, position, rulePins, habits.spacing)
  const ruleWraps = wrapsFromSlack(ruleLength, diameter, gauge, stretch, lay)
  return {
    length, pull,
    reach: pinsReached(instrument, position, length, habits.spacing),
    pullInStrings: spacing > 0 ? pull / spacing : 0,
    stretchAloneIsMore: forWanted < 0,
    rule: {
      pins: rulePins, length: ruleLength, wraps: ruleWraps,
      within: ruleWraps >= WRAPS_BAND.least && ruleWraps <= WRAPS_BAND.most,
    },
  }
}

function cutOf(strings: readonly StringFigures[], habits: Habits, construction: Construction): CutSum {
  const [first, second] = strings as readonly [StringFigures, StringFigures?]
  const gauge = outerGauge(construction)
  const { tail } = first.position
  if (second) {
    const spacing = Math.abs(first.position.at.tail.x - second.position.at.tail.x)
    return cutForPairedWire(runOf(first, habits), runOf(second, habits), wayRoundPosts(spacing, tail.postDiameter ?? 0, gauge))
  }
  const knot = knotConsumption(tail.fastening, gauge, habits.knots)
  if (tailFacts(tail.fastening).hold === 'foot') return cutForFoot(runOf(first, habits), knot, tail.postDiameter ?? 0, gauge)
  return cutForKnottedString(runOf(first, habits), knot)
}

function runOf({ position, slack }: StringFigures, habits: Habits): Run {
  return {
    freeLength: position.freeLength,
    boardThickness: position.tail.boardThickness,
    slack: slack.length,
    pinDiameter: position.head.pin.diameter,
    tail: habits.tail,
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
