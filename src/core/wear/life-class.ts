/**
 * Strings that last alike: their class, the shape of their wearing out, and what is known of its rate before anything broke.
 */
import type { Note } from '../pitch/note'
import { coreMaterial, type Construction } from '../strings/construction'

export const LIFE_CLASSES = [
  'gut treble',
  'gut middle',
  'gut bass',
  'nylon treble',
  'nylon other',
  'fluorocarbon',
  'silk',
  'wound on nylon or silk',
  'bass wire',
  'plain steel',
  'brass and bronze',
] as const
export type LifeClass = (typeof LIFE_CLASSES)[number]

/** A rate of breaking: with a chance λ ~ Gamma(alpha, beta) per m · years^shape. */
export interface Rate {
  readonly shape: number
  readonly alpha: number
  /** years^shape */
  readonly beta: number
}

export interface LifeFacts extends Rate {
  /** The utilisation that strings of the class usually work at; a string that works harder ages faster. */
  readonly usualUse: number
}

/** Starting values, estimates that breaks of the house's own replace; the usual use is the middle of the demo's charts. */
const LIVES: Record<LifeClass, LifeFacts> = {
  'gut treble': { shape: 2.2, alpha: 3, beta: 3.85, usualUse: 0.34 },
  'gut middle': { shape: 2.2, alpha: 3, beta: 28.9, usualUse: 0.23 },
  'gut bass': { shape: 2.2, alpha: 3, beta: 81.2, usualUse: 0.17 },
  'nylon treble': { shape: 2.2, alpha: 3, beta: 43.1, usualUse: 0.28 },
  'nylon other': { shape: 2.2, alpha: 3, beta: 81.2, usualUse: 0.18 },
  fluorocarbon: { shape: 2.2, alpha: 2, beta: 51, usualUse: 0.28 },
  silk: { shape: 2.2, alpha: 2, beta: 5.89, usualUse: 0.1 },
  'wound on nylon or silk': { shape: 1.8, alpha: 2, beta: 29.3, usualUse: 0.41 },
  'bass wire': { shape: 1.6, alpha: 2, beta: 54.3, usualUse: 0.33 },
  'plain steel': { shape: 1.6, alpha: 2, beta: 31.7, usualUse: 0.33 },
  'brass and bronze': { shape: 1.6, alpha: 2, beta: 22.2, usualUse: 0.31 },
}

export const lifeFacts = (lifeClass: LifeClass): LifeFacts => LIVES[lifeClass]

/** Treble from C5 up, bass below C3. */
const TREBLE_FROM = 5
const BASS_BELOW = 3

/** The class of a string by what it is made of and what it sounds at rest. */
export function lifeClass(construction: Construction, { octave }: Pick<Note, 'octave'>): LifeClass {
  const { name, wire } = coreMaterial(construction)
  if (construction.kind === 'wound') return wire ? 'bass wire' : 'wound on nylon or silk'
  switch (name) {
    case 'gut':
      return octave >= TREBLE_FROM ? 'gut treble' : octave < BASS_BELOW ? 'gut bass' : 'gut middle'
    case 'nylon 6.12':
    case 'nylon 6.6':
      return octave >= TREBLE_FROM ? 'nylon treble' : 'nylon other'
    case 'fluorocarbon':
    case 'silk':
      return name
    case 'steel':
      return 'plain steel'
    case 'phosphor bronze':
    case 'brass':
    case 'copper':
      return 'brass and bronze'
  }
}
