/** A restring moment by moment: what is done to which piece, and what the frame carries then. */
import { Frame, type Carried, type Stand } from './frame'
import type { Piece } from './piece'
import type { StepKey } from '../fitting/step'
import type { Batch } from './batch'

export const DOINGS = ['off', 'slack', 'half', 'pitch'] as const
/** Taken off; put on and wound until it is no longer loose; up to half its pitch; up to its pitch. */
export type Doing = (typeof DOINGS)[number]

export interface Moment {
  /** The go it belongs to, from 0. */
  readonly go: number
  readonly id: number
  readonly doing: Doing
  /** It only lay over one that is changed, and goes back. */
  readonly isAside: boolean
  /** What is carried once it is done. */
  readonly carried: Carried
}

/**
 * All moments in order: off from the last that goes on to the first, on and up in the order of the go.
 *
 * @param fromBare - nothing is on when it begins
 */
export function momentsOf(
  pieces: readonly Piece[],
  goes: readonly Pick<Batch, 'ids' | 'aside'>[],
  fromBare = false,
): readonly Moment[] {
  const frame = new Frame(pieces)
  const stands = new Map<number, Stand>(fromBare ? pieces.map(({ id }) => [id, 'off']) : [])
  return goes.flatMap(({ ids, aside }, go) => {
    const all = fromBare ? ids : [...ids, ...aside]
    return (fromBare ? DOINGS.slice(1) : DOINGS).flatMap((doing) =>
      (doing === 'off' ? [...all].reverse() : all).map((id): Moment => {
        stands.set(id, doing)
        return { go, id, doing, isAside: !ids.includes(id), carried: frame.carried(stands) }
      }),
    )
  })
}

/** How a piece stands: as it was, or how far the new one is. */
export type StandNow = 'old' | 'off' | 'slack' | 'half' | 'new'

/** How a piece stands by the steps of its job that are done; nothing is on a bare instrument before it is put on. */
export function standBySteps(done: readonly StepKey[], fromBare: boolean): StandNow {
  if (done.includes('to-pitch')) return 'new'
  if (done.includes('to-half')) return 'half'
  if (done.some((step) => step === 'wind' || step === 'wrap-foot')) return 'slack'
  return fromBare || done.includes('take-off') ? 'off' : 'old'
}

/**
 * How every piece that is touched stands after so many moments, by id.
 *
 * @param off - pieces that are off when it begins
 */
export function standsAfter(
  moments: readonly Moment[],
  done: number,
  off: readonly number[] = [],
): ReadonlyMap<number, StandNow> {
  const stands = new Map<number, StandNow>(off.map((id) => [id, 'off']))
  const isNew = new Set<number>()
  for (const { id, doing, isAside } of moments.slice(0, done)) {
    if (doing === 'pitch' && !isAside) isNew.add(id)
    // What was only moved aside goes back as it was, and that may be new already.
    stands.set(id, doing !== 'pitch' ? doing : isNew.has(id) ? 'new' : 'old')
  }
  return stands
}
