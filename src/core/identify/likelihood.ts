/**
 * How likely a clue is, were the string the one of a given position. The chances are stated assumptions, gathered here
 * and in `touch.ts`; docs/SCIENCE.md lists them with the calibration they reach.
 */
import { centsAbove } from '../pitch/cents'
import {
  gaugeOf,
  restPitch,
  type Instrument,
  type StringColour,
  type StringPosition,
} from '../instrument/instrument'
import { knotConsumption } from '../knots/fastenings'
import { drawnPerTurn } from '../winding/pin'
import type { Clue, NeighbourSeen, SeenColour, Side, Thickness } from './clue'
import { chanceBelow, normalDensity } from '../random/normal'
import { materialClass, type MaterialClass } from './material-class'
import { bendChance, coldChance, lookChance, nailChance } from './touch'

/** What is left for a clue that is plainly wrong, so that no position is ever ruled out by one slip. */
const SLIP = 0.003

/** Chance of losing count: a fiftieth, and just under a hundredth more for each string counted; to a neighbour more often than beyond. */
const MISCOUNT = { base: 0.02, perString: 0.008, most: 0.3, toNeighbour: 0.8 }

/** Chance of each reading of a distance told in strings: right, or one off. */
const STEPS_OFF = [
  [-1, 0.06],
  [0, 0.88],
  [1, 0.06],
] as const

/** Dye wears off, and a stained natural string is sometimes taken for a dyed one. */
const COLOURS: Record<'red' | 'dark' | 'natural', Record<SeenColour, number>> = {
  red: { red: 0.9, dark: 0.02, natural: 0.08 },
  dark: { red: 0.01, dark: 0.92, natural: 0.07 },
  natural: { red: 0.01, dark: 0.015, natural: 0.975 },
}

/** A used string of gut, silk or nylon measures thinner than new by between these shares. */
export const WORN_THINNER = { least: 0.01, most: 0.04 }
/** Strings of one gauge differ among themselves by about this share. */
const MAKE_TOLERANCE = 0.01
/** Chance that the string that was on was not the charted gauge at all, and the span of gauges it may have had, m. */
const NOT_AS_CHARTED = { chance: 0.03, span: 3e-3 }

/** Chance that all pieces were found, and how closely their length then follows the string's. */
const PIECES = { allFound: 0.7, spread: 0.05, leastShare: 0.25 }
/** Wraps and stub of a string that was on, as good as any before it was looked at. */
const ASSUMED_WRAPS = 3
const STUB = 0.01

/** A neighbour may stand out of tune by this many cents, and may be heard an octave off. */
const PITCH = { cents: 70, octaveOff: 0.07, lost: 0.04, span: 8400 }

const NEIGHBOUR_LOOKS: Record<MaterialClass, Record<Exclude<NeighbourSeen, 'none'>, number>> = {
  gut: { gut: 0.93, nylon: 0.05, wire: 0.01, wound: 0.01 },
  silk: { gut: 0.9, nylon: 0.06, wire: 0.01, wound: 0.03 },
  nylon: { gut: 0.04, nylon: 0.94, wire: 0.01, wound: 0.01 },
  fluorocarbon: { gut: 0.03, nylon: 0.95, wire: 0.01, wound: 0.01 },
  wire: { gut: 0.005, nylon: 0.005, wire: 0.95, wound: 0.04 },
  wound: { gut: 0.02, nylon: 0.01, wire: 0.06, wound: 0.91 },
}

/**
 * @param clue - what was said
 * @param position - the position that it is supposed to be of
 * @param instrument - that holds it
 * @returns a chance, or for a measured quantity a density, that can be compared between positions for the same clue
 */
export function likelihood(clue: Clue, position: StringPosition, instrument: Instrument): number {
  switch (clue.kind) {
    case 'counted':
      return counted(
        clue.from === 'top' ? position.number : instrument.positions.length + 1 - position.number,
        clue.number,
      )
    case 'colour':
      return COLOURS[dyeOf(position.colour)][clue.seen]
    case 'coloured neighbour':
      return colouredNeighbour(clue.seen, clue.away, position, instrument)
    case 'beside colour':
      return besideColour(clue.seen, position, instrument)
    case 'colour counted':
      return colourCounted(clue, position, instrument)
    case 'gauge':
      return gauge(clue.measured, clue.error, clue.worn, position)
    case 'thickness':
      return thickness(clue.seen, position, instrument)
    case 'pieces':
      return pieces(clue.length, position)
    case 'look':
      return lookChance(position, clue.seen)
    case 'bend':
      return bendChance(position, clue.seen)
    case 'nail':
      return nailChance(position, clue.seen)
    case 'cold':
      return coldChance(position, clue.seen)
    case 'neighbour’s pitch':
      return neighbourPitch(clue.pitch, neighbourOf(instrument, position, clue.side), instrument)
    case 'neighbour’s material':
      return neighbourMaterial(clue.seen, neighbourOf(instrument, position, clue.side))
  }
}

/** The next string on one side; undefined past the end. */
export function neighbourOf(
  { positions }: Instrument,
  { number }: StringPosition,
  side: Side,
): StringPosition | undefined {
  return positions[number - 1 + (side === 'longer' ? 1 : -1)]
}

function counted(truth: number, said: number): number {
  const miss = Math.min(MISCOUNT.most, MISCOUNT.base + MISCOUNT.perString * truth)
  const off = Math.abs(truth - said)
  if (off === 0) return 1 - miss
  if (off === 1) return (miss * MISCOUNT.toNeighbour) / 2
  return off === 2 ? (miss * (1 - MISCOUNT.toNeighbour)) / 2 : SLIP / 10
}

/** What a dyed string's colour is called when seen; black and blue are told alike. */
export function dyeOf(colour: StringColour): SeenColour {
  return colour === 'black' || colour === 'blue' ? 'dark' : colour
}

function colouredNeighbour(
  seen: 'red' | 'dark',
  away: number,
  { number }: StringPosition,
  { positions }: Instrument,
): number {
  return (
    SLIP +
    STEPS_OFF.reduce((sum, [off, chance]) => {
      const there = positions[number - 1 - (away + off)]
      return there ? sum + chance * COLOURS[dyeOf(there.colour)][seen] : sum
    }, 0)
  )
}

/** Either neighbour may be the one that was meant. */
function besideColour(seen: 'red' | 'dark', position: StringPosition, instrument: Instrument): number {
  const neither = (['shorter', 'longer'] as const).reduce((chance, side) => {
    const there = neighbourOf(instrument, position, side)
    return there ? chance * (1 - COLOURS[dyeOf(there.colour)][seen]) : chance
  }, 1)
  return SLIP + (1 - SLIP) * (1 - neither)
}

/** Its place among the strings of that colour, by which people lose count as they do among all. */
function colourCounted(
  { seen, from, nth }: Extract<Clue, { kind: 'colour counted' }>,
  { number, colour }: StringPosition,
  { positions }: Instrument,
): number {
  const alike = positions.filter((p) => dyeOf(p.colour) === seen).map((p) => p.number)
  const rank = alike.indexOf(number)
  if (dyeOf(colour) !== seen || rank < 0) return SLIP
  return COLOURS[seen][seen] * counted(from === 'top' ? rank + 1 : alike.length - rank, nth)
}

function gauge(measured: number, error: number, worn: boolean, position: StringPosition): number {
  const charted = gaugeOf(position)
  const spread = Math.hypot(error, MAKE_TOLERANCE * charted)
  const wears = worn && !['wire', 'wound'].includes(materialClass(position.construction))
  const density = wears ? wornDensity(measured, charted, spread) : normalDensity(measured, charted, spread)
  return (1 - NOT_AS_CHARTED.chance) * density + NOT_AS_CHARTED.chance / NOT_AS_CHARTED.span
}

/** The share lost is as likely anywhere between its bounds. */
function wornDensity(measured: number, charted: number, spread: number): number {
  const thickest = charted * (1 - WORN_THINNER.least)
  const thinnest = charted * (1 - WORN_THINNER.most)
  return (
    (chanceBelow((measured - thinnest) / spread) - chanceBelow((measured - thickest) / spread)) /
    (thickest - thinnest)
  )
}

/** Thin and thick are told against the rest of the instrument: by rank among its gauges. */
function thickness(seen: Thickness, position: StringPosition, { positions }: Instrument): number {
  const here = gaugeOf(position)
  const thinner =
    positions.filter((p) => gaugeOf(p) < here).length +
    (positions.filter((p) => gaugeOf(p) === here).length - 1) / 2
  const rank = positions.length > 1 ? thinner / (positions.length - 1) : 0.5
  const thin = 1 / (1 + Math.exp((rank - 0.36) / 0.09))
  const thick = 1 / (1 + Math.exp((0.64 - rank) / 0.09))
  const chance = { thin, thick, middling: Math.max(0, 1 - thin - thick) }[seen]
  return 0.96 * chance + 0.04 / 3
}

/** Length of a string that was on, from tag to stub, m. */
export function lengthOn(position: StringPosition): number {
  const gaugeHere = gaugeOf(position)
  return (
    position.freeLength +
    knotConsumption(position.tail.fastening, gaugeHere) +
    ASSUMED_WRAPS * drawnPerTurn(position.head.pin.diameter, gaugeHere) +
    STUB
  )
}

function pieces(length: number, position: StringPosition): number {
  const whole = lengthOn(position)
  const missing =
    length > PIECES.leastShare * whole && length < whole ? 1 / ((1 - PIECES.leastShare) * whole) : 0
  return (
    PIECES.allFound * normalDensity(length, whole, PIECES.spread * whole) +
    (1 - PIECES.allFound) * missing +
    SLIP
  )
}

function neighbourPitch(
  heard: number,
  neighbour: StringPosition | undefined,
  instrument: Instrument,
): number {
  if (!neighbour) return SLIP / PITCH.span
  const cents = centsAbove(heard, restPitch(instrument, neighbour))
  const near = (octaves: number) => normalDensity(cents, 1200 * octaves, PITCH.cents)
  return (
    (1 - 2 * PITCH.octaveOff - PITCH.lost) * near(0) +
    PITCH.octaveOff * (near(1) + near(-1)) +
    PITCH.lost / PITCH.span
  )
}

function neighbourMaterial(seen: NeighbourSeen, neighbour: StringPosition | undefined): number {
  if (!neighbour) return seen === 'none' ? 0.97 : 0.03 / 4
  return seen === 'none' ? SLIP : (1 - SLIP) * NEIGHBOUR_LOOKS[materialClass(neighbour.construction)][seen]
}
