/**
 * Strings of an instrument by what they are asked for, laid out once: a shelf of hundreds is searched at every name typed.
 */
import { letterStep, semitoneNumber } from '../pitch/note'
import { restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import type { Kind } from './grammar'

export interface StringIndex {
  /** By their place in the row of letters. */
  readonly byStep: ReadonlyMap<number, readonly StringPosition[]>
  /** By the semitone they sound at rest. */
  readonly bySemitone: ReadonlyMap<number, readonly StringPosition[]>
  /** At rest, Hz, in the order of the strings. */
  readonly pitches: readonly number[]
  /** Shortest first. */
  ofKind(kind: Kind): readonly StringPosition[]
}

const INDEXES = new WeakMap<Instrument, StringIndex>()
const NONE: readonly StringPosition[] = []

/** The index of an instrument, made at the first asking. */
export function indexOf(instrument: Instrument): StringIndex {
  const known = INDEXES.get(instrument)
  if (known) return known
  const byStep = new Map<number, StringPosition[]>()
  const bySemitone = new Map<number, StringPosition[]>()
  const byKind = new Map<Kind, StringPosition[]>()
  const add = <Key>(to: Map<Key, StringPosition[]>, key: Key, p: StringPosition) => {
    const there = to.get(key)
    if (there) there.push(p)
    else to.set(key, [p])
  }
  for (const p of instrument.positions) {
    add(byStep, letterStep(p.note), p)
    add(bySemitone, Number(semitoneNumber(p.note)), p)
    add<Kind>(byKind, p.note.letter, p)
    if (p.colour !== 'natural') add<Kind>(byKind, p.colour === 'red' ? 'red' : 'dark', p)
  }
  const index: StringIndex = {
    byStep,
    bySemitone,
    pitches: instrument.positions.map((p) => restPitch(instrument, p)),
    ofKind: (kind) => (kind === 'any' ? instrument.positions : (byKind.get(kind) ?? NONE)),
  }
  INDEXES.set(instrument, index)
  return index
}
