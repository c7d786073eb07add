/**
 * Broken strings with clues as people give them: miscounted, worn, misheard. The noise is made the way it comes about
 * and not from the likelihoods that the weighing uses, so that the calibration means something.
 */
import type { Clue, AskedKind } from '@/core/identify/clue'
import { BENDS, LOOKS, NAILS } from '@/core/identify/clue'
import { dyeOf, lengthOn, neighbourOf } from '@/core/identify/likelihood'
import { materialClass } from '@/core/identify/material-class'
import { bendChance, coldChance, lookChance, nailChance } from '@/core/identify/touch'
import { gaugeOf, restPitch, type Instrument, type StringPosition } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'

export interface SimulatedBreak {
  readonly instrument: Instrument
  readonly truth: StringPosition
  readonly clues: readonly Clue[]
}

const KINDS: readonly AskedKind[] = [
  'counted',
  'colour',
  'coloured neighbour',
  'gauge',
  'thickness',
  'pieces',
  'look',
  'bend',
  'nail',
  'cold',
  'neighbour’s pitch',
  'neighbour’s material',
]
/** Standard error of the calliper, and the step it shows, m. */
export const CALLIPER = { error: 1e-5, step: 1e-5 }

/** One string broken at random, with two to five clues. */
export function simulateBreak(instrument: Instrument, random: () => number): SimulatedBreak {
  const truth = pick(instrument.positions, random)
  const wanted = 2 + Math.floor(4 * random())
  const clues: Clue[] = []
  const left = [...KINDS]
  while (clues.length < wanted && left.length > 0) {
    const [kind] = left.splice(Math.floor(random() * left.length), 1)
    const clue = noticed(requireValue(kind), truth, instrument, random)
    if (clue) clues.push(clue)
  }
  return { instrument, truth, clues }
}

function noticed(
  kind: AskedKind,
  truth: StringPosition,
  instrument: Instrument,
  random: () => number,
): Clue | null {
  const side = random() < 0.5 ? ('shorter' as const) : ('longer' as const)
  switch (kind) {
    case 'counted': {
      const from = random() < 0.7 ? ('top' as const) : ('bottom' as const)
      const places = from === 'top' ? truth.number : instrument.positions.length + 1 - truth.number
      return { kind, from, number: Math.max(1, countOut(places, random)) }
    }
    case 'colour': {
      const dye = dyeOf(truth.colour)
      if (instrument.positions.every((p) => p.colour === 'natural')) return null
      if (dye !== 'natural') return { kind, seen: random() < 0.08 ? 'natural' : dye }
      return { kind, seen: random() < 0.02 ? (random() < 0.5 ? 'red' : 'dark') : 'natural' }
    }
    case 'coloured neighbour':
      return colouredNeighbour(truth, instrument, random)
    case 'gauge': {
      const fitted =
        random() < 0.03
          ? pick(
              instrument.positions.filter((p) => Math.abs(p.number - truth.number) <= 3),
              random,
            )
          : truth
      const wears = !['wire', 'wound'].includes(materialClass(truth.construction))
      const worn = wears ? 1 - (0.01 + 0.03 * random()) : 1
      const read = gaugeOf(fitted) * (1 + 0.008 * normal(random)) * worn + CALLIPER.error * normal(random)
      return {
        kind,
        measured: Math.round(read / CALLIPER.step) * CALLIPER.step,
        error: CALLIPER.error,
        worn: true,
      }
    }
    case 'thickness': {
      const thinner = instrument.positions.filter((p) => gaugeOf(p) < gaugeOf(truth)).length
      const felt = thinner / Math.max(1, instrument.positions.length - 1) + 0.15 * normal(random)
      return { kind, seen: felt < 0.36 ? 'thin' : felt > 0.64 ? 'thick' : 'middling' }
    }
    case 'pieces': {
      const whole = lengthOn(truth) * (1 + 0.04 * normal(random))
      return { kind, length: random() < 0.7 ? whole : whole * (0.3 + 0.67 * random()) }
    }
    case 'look':
      return { kind, seen: carelessly(LOOKS, (seen) => lookChance(truth, seen), random) }
    case 'bend':
      return { kind, seen: carelessly(BENDS, (seen) => bendChance(truth, seen), random) }
    case 'nail':
      return { kind, seen: carelessly(NAILS, (seen) => nailChance(truth, seen), random) }
    case 'cold':
      return { kind, seen: carelessly([true, false], (seen) => coldChance(truth, seen), random) }
    case 'neighbour’s pitch': {
      const neighbour = neighbourOf(instrument, truth, side)
      if (!neighbour) return null
      const luck = random()
      if (luck < 0.03) return { kind, side, pitch: restPitch(instrument, pick(instrument.positions, random)) }
      const octaves = luck < 0.1 ? 1 : luck < 0.17 ? -1 : 0
      return {
        kind,
        side,
        pitch: restPitch(instrument, neighbour) * 2 ** (octaves + (55 * normal(random)) / 1200),
      }
    }
    case 'neighbour’s material': {
      const neighbour = neighbourOf(instrument, truth, side)
      if (!neighbour) return { kind, side, seen: 'none' }
      const told = {
        gut: 'gut',
        silk: 'gut',
        nylon: 'nylon',
        fluorocarbon: 'nylon',
        wire: 'wire',
        wound: 'wound',
      } as const
      return {
        kind,
        side,
        seen:
          random() < 0.94
            ? told[materialClass(neighbour.construction)]
            : pick(['gut', 'nylon', 'wire', 'wound'] as const, random),
      }
    }
  }
}

/** Counting string by string, now and then skipping one or counting one twice. */
function countOut(places: number, random: () => number): number {
  let said = 0
  for (let i = 0; i < places; i += 1) {
    const luck = random()
    said += luck < 0.0045 ? 0 : luck > 0.9955 ? 2 : 1
  }
  return said
}

/** The nearest dyed string on one side whose dye can still be seen, and its distance as counted. */
function colouredNeighbour(
  truth: StringPosition,
  { positions }: Instrument,
  random: () => number,
): Clue | null {
  const sign = random() < 0.5 ? 1 : -1
  for (let away = 1; away <= 4; away += 1) {
    const there = positions[truth.number - 1 - sign * away]
    if (!there) return null
    const dye = dyeOf(there.colour)
    if (dye === 'natural' || random() < 0.07) continue
    const counted = away + (random() < 0.11 ? (random() < 0.5 ? 1 : -1) : 0)
    return { kind: 'coloured neighbour', seen: dye, away: sign * Math.max(1, counted) }
  }
  return null
}

/** An answer drawn by its chances, and now and then one without looking. */
function carelessly<T>(answers: readonly T[], chance: (answer: T) => number, random: () => number): T {
  if (random() < 0.02) return pick(answers, random)
  let left = random()
  for (const answer of answers) {
    left -= chance(answer)
    if (left <= 0) return answer
  }
  return answers.at(-1) as T
}

function pick<T>(from: readonly T[], random: () => number): T {
  return from[Math.floor(random() * from.length)] as T
}

/** A standard normal value (Box and Muller). */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}
