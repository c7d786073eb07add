/**
 * What the hands use: what turns a pin, and what cuts a string.
 */
import { coreMaterial, type Construction } from '../strings/construction'
import type { TuningPin } from '../winding/pin'
import type { Turning } from './step'
import { isWire } from './thin'

export interface Turner {
  /** `the key`, `the knob` */
  readonly name: string
  /** Its turning as a person is told it: `Turn the key`. */
  readonly turn: string
  /** Where to look from to see which way it tightens. */
  readonly seenFrom: string
}

const TURNERS: Readonly<Record<TuningPin['turnedBy'], Turner>> = {
  key: { name: 'the key', turn: 'Turn the key', seenFrom: 'seen from the key’s end' },
  knob: { name: 'the knob', turn: 'Turn its knob', seenFrom: 'seen from the knob' },
  lever: { name: 'the lever', turn: 'Turn its lever', seenFrom: 'seen from the lever’s end' },
  hand: { name: 'the peg', turn: 'Turn the peg by hand', seenFrom: 'seen from its head' },
}

/** What turns a pin. */
export function turnerOf({ turnedBy }: Pick<TuningPin, 'turnedBy'>): Turner {
  return TURNERS[turnedBy]
}

/** How a pin is turned to tighten or to loosen, for the arrow beside the words. */
export function turningOf(pin: TuningPin, does: Turning['does']): Turning {
  const tightening = does === 'tightens' || does === 'turns it in'
  return { way: tightening ? pin.tightens : looser(pin), does, seenFrom: turnerOf(pin).seenFrom }
}

/** The way that loosens. There are instruments where that is clockwise. */
export function looser({ tightens }: Pick<TuningPin, 'tightens'>): TuningPin['tightens'] {
  return tightens === 'clockwise' ? 'anticlockwise' : 'clockwise'
}

/** What a string is cut with, by what lies at its core. */
export function cutterFor(construction: Construction): string {
  if (isWire(construction)) return 'wire cutters'
  const { name } = coreMaterial(construction)
  return name.startsWith('nylon') || name === 'fluorocarbon' ? 'scissors or nail clippers' : 'scissors'
}
