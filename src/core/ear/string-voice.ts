/**
 * How a string sounds when it is plucked: where its partials lie, how long each rings, and which of them are loud.
 */
import type { StringPosition } from '../instrument/instrument'
import { frequency } from '../pitch/note'
import { coreDiameter, coreMaterial, type Construction } from '../strings/construction'
import { stress, tension } from '../strings/tension'

export interface StringVoice {
  /** Its first partial, Hz. */
  readonly hz: number
  /** B: partials lie at n f (1 + B n²)^½ / (1 + B)^½. */
  readonly inharmonicity: number
  /** Amplitude lost in a second by air and board, 1/s. */
  readonly loss: number
  /** Cycles over π in which friction inside the string takes 1/e of a partial. */
  readonly quality: number
}

/** Friction inside: our own estimates by ear, gut and nylon dull, wire bright. They shape the sound, no figure rests on them. */
const QUALITY = { polymer: 420, metal: 2600 } as const
const LOSS = 1.4

/**
 * Inharmonicity of a stiff string, B = π³ E c⁴ / (64 T L²), with the core's diameter and its modulus at this load.
 *
 * @param length - speaking length, m
 * @param pitch - Hz
 */
export function inharmonicityOf(c: Construction, length: number, pitch: number): number {
  const { modulus, stiffening } = coreMaterial(c)
  const held = modulus + stiffening * stress(c, length, pitch)
  return (Math.PI ** 3 * held * coreDiameter(c) ** 4) / (64 * tension(c, length, pitch) * length ** 2)
}

/** The voice of a string at its own pitch, or at another, Hz. */
export function voiceOf(position: StringPosition, referenceA: number, pitch?: number): StringVoice {
  return voiceAt(position, pitch ?? frequency(position.note, referenceA))
}

/** The voice of a string at a pitch, Hz. */
export function voiceAt({ construction, speakingLength }: StringPosition, hz: number): StringVoice {
  return {
    hz,
    inharmonicity: inharmonicityOf(construction, speakingLength, hz),
    loss: LOSS,
    quality: coreMaterial(construction).wire ? QUALITY.metal : QUALITY.polymer,
  }
}

/** Frequency of a partial, n from 1, Hz. */
export function partialHz(
  { hz, inharmonicity: b }: Pick<StringVoice, 'hz' | 'inharmonicity'>,
  n: number,
): number {
  return n * hz * Math.sqrt((1 + b * n * n) / (1 + b))
}

/** By how much the logarithm of a partial's frequency rises with that of B. */
export function byInharmonicity(b: number, n: number): number {
  return (b / 2) * ((n * n) / (1 + b * n * n) - 1 / (1 + b))
}

/** How fast a partial dies away, 1/s. */
export function partialDecay(voice: StringVoice, n: number): number {
  return voice.loss + (Math.PI * partialHz(voice, n)) / voice.quality
}
