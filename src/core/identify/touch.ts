/**
 * What each material looks and feels like, as chances of each answer: starting values for a careful person by daylight.
 */
import type { StringPosition } from '../instrument/instrument'
import type { Bend, Look, Nail } from './clue'
import { materialClass, type MaterialClass } from './material-class'

const LOOK: Record<MaterialClass, Record<Look, number>> = {
  gut: {
    grain: 0.86,
    glassy: 0.06,
    'grey-tinged': 0.01,
    metallic: 0.01,
    ribbed: 0.01,
    'hidden by dye': 0.05,
  },
  nylon: {
    grain: 0.02,
    glassy: 0.88,
    'grey-tinged': 0.05,
    metallic: 0.005,
    ribbed: 0.005,
    'hidden by dye': 0.04,
  },
  fluorocarbon: {
    grain: 0.01,
    glassy: 0.42,
    'grey-tinged': 0.53,
    metallic: 0.005,
    ribbed: 0.005,
    'hidden by dye': 0.03,
  },
  silk: {
    grain: 0.84,
    glassy: 0.06,
    'grey-tinged': 0.01,
    metallic: 0.01,
    ribbed: 0.03,
    'hidden by dye': 0.05,
  },
  wire: {
    grain: 0.005,
    glassy: 0.005,
    'grey-tinged': 0.01,
    metallic: 0.95,
    ribbed: 0.02,
    'hidden by dye': 0.01,
  },
  wound: {
    grain: 0.01,
    glassy: 0.02,
    'grey-tinged': 0.01,
    metallic: 0.14,
    ribbed: 0.81,
    'hidden by dye': 0.01,
  },
}

const BEND: Record<MaterialClass, Record<Bend, number>> = {
  gut: { 'springs back': 0.12, 'holds a crease': 0.86, 'holds a kink': 0.02 },
  nylon: { 'springs back': 0.93, 'holds a crease': 0.06, 'holds a kink': 0.01 },
  fluorocarbon: { 'springs back': 0.9, 'holds a crease': 0.09, 'holds a kink': 0.01 },
  silk: { 'springs back': 0.2, 'holds a crease': 0.77, 'holds a kink': 0.03 },
  wire: { 'springs back': 0.08, 'holds a crease': 0.04, 'holds a kink': 0.88 },
  wound: { 'springs back': 0.15, 'holds a crease': 0.15, 'holds a kink': 0.7 },
}

const NAIL: Record<MaterialClass, Record<Nail, number>> = {
  gut: { slick: 0.08, 'faintly rough': 0.88, rasps: 0.03, hard: 0.01 },
  nylon: { slick: 0.93, 'faintly rough': 0.05, rasps: 0.01, hard: 0.01 },
  fluorocarbon: { slick: 0.93, 'faintly rough': 0.04, rasps: 0.01, hard: 0.02 },
  silk: { slick: 0.1, 'faintly rough': 0.82, rasps: 0.06, hard: 0.02 },
  wire: { slick: 0.06, 'faintly rough': 0.02, rasps: 0.02, hard: 0.9 },
  wound: { slick: 0.01, 'faintly rough': 0.04, rasps: 0.93, hard: 0.02 },
}

const COLD: Record<MaterialClass, number> = {
  gut: 0.02,
  nylon: 0.04,
  fluorocarbon: 0.04,
  silk: 0.02,
  wire: 0.94,
  wound: 0.75,
}

/** How often a dyed string’s look is told as hidden by its dye. */
const DYE_HIDES = 0.45

/** Chance that a position’s string is told to look so. */
export function lookChance(
  { construction, colour }: Pick<StringPosition, 'construction' | 'colour'>,
  seen: Look,
): number {
  const plain = LOOK[materialClass(construction)][seen]
  if (colour === 'natural') return plain
  return (1 - DYE_HIDES) * plain + (seen === 'hidden by dye' ? DYE_HIDES : 0)
}

/** Chance that it bends so. */
export function bendChance({ construction }: Pick<StringPosition, 'construction'>, seen: Bend): number {
  return BEND[materialClass(construction)][seen]
}

/** Chance that it feels so under the nail. */
export function nailChance({ construction }: Pick<StringPosition, 'construction'>, seen: Nail): number {
  return NAIL[materialClass(construction)][seen]
}

/** Chance that it is told to be cold, or not to be. */
export function coldChance({ construction }: StringPosition, seen: boolean): number {
  const cold = COLD[materialClass(construction)]
  return seen ? cold : 1 - cold
}
