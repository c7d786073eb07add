/**
 * Every fastening as something that is tied: stages in words, and how the string lies at any moment between them.
 */
import { HEAD_FASTENINGS, TAIL_FASTENINGS, type HeadFastening, type TailFastening } from './fastenings'
import { inMirror, type Hanging } from './drawn/between'
import { unpack, type PackedState } from './drawn/packed'
import { headOf, headState, USUAL_PIN, type DrawnPin } from './heads/heads'
import { PEG_CORD_STAGES, pegCordState } from './heads/peg-cord'
import { stateOf, type Part, type TyingState } from './tails/state'
import { ANCHOR_PLACES, MIRRORED, placesOf, type AnchorPlace, type TailEnd } from './tails/tail-end'
import { tailEndOf } from './tails/tail-ends'

export type Fastening = TailFastening | HeadFastening
export const FASTENINGS: readonly Fastening[] = [...TAIL_FASTENINGS, ...HEAD_FASTENINGS]

export interface Tying {
  readonly fastening: Fastening
  readonly end: 'tail' | 'head'
  readonly stages: readonly { readonly says: string }[]
  /** How the string lies when so many stages are done; 2.5 is halfway through the third. */
  readonly stateAt: (at: number) => TyingState
  /** For a tail end. */
  readonly tailEnd: TailEnd | null
  /** The moment from which it is drawn down, to the end of that stage; null where it stays open. */
  readonly drawnFrom: number | null
  /** What its parts are called in the picture; null where they are not named. */
  readonly names: Readonly<Record<Part, string | null>>
  /** The string goes through a hole in the board above it. */
  readonly throughBoard: boolean
}

/** States on the way of being drawn down, by fastening and place of the anchor. */
export type DrawnStates = Readonly<Record<string, Readonly<Record<string, readonly PackedState[]>>>>

export interface TyingOptions {
  readonly place: AnchorPlace
  /** Left out, one as most harps have. */
  readonly pin?: DrawnPin
  /** Left out, the last stage stays as open as the one before. */
  readonly drawn?: DrawnStates
}

export function isTail(fastening: Fastening): fastening is TailFastening {
  return (TAIL_FASTENINGS as readonly string[]).includes(fastening)
}

function drawnOf(tailEnd: TailEnd, place: AnchorPlace, drawn: DrawnStates): readonly Hanging[] | null {
  const kept = placesOf(tailEnd).includes(place) ? place : 'behind the bight'
  const original = MIRRORED[tailEnd.fastening]
  if (!original) return drawn[tailEnd.fastening]?.[kept]?.map(unpack) ?? null
  const other = ANCHOR_PLACES.find((p) => p !== kept) ?? kept
  return drawn[original]?.[other]?.map((state) => inMirror(unpack(state))) ?? null
}

const NAMES: Tying['names'] = {
  'standing part': 'standing part',
  'working end': 'working end',
  tag: 'tag',
}

/** How far it is drawn down: 0 while it is open, 1 when it is tight. */
export function tightness({ drawnFrom }: Pick<Tying, 'drawnFrom'>, at: number): number {
  if (drawnFrom === null || at <= drawnFrom) return 0
  return Math.min(1, (at - drawnFrom) / (Math.floor(drawnFrom) + 1 - drawnFrom))
}

/** How a fastening is tied, with the house's place for the anchor and the string's own pin. */
export function tyingOf(fastening: Fastening, { place, pin = USUAL_PIN, drawn }: TyingOptions): Tying {
  if (isTail(fastening)) {
    const tailEnd = tailEndOf(fastening, place)
    const states = drawn ? drawnOf(tailEnd, place, drawn) : null
    return {
      fastening,
      end: 'tail',
      stages: tailEnd.stages,
      stateAt: (at) => stateOf(tailEnd, at, states),
      tailEnd,
      drawnFrom: tailEnd.drawnTo === null ? null : tailEnd.stages.length - 1,
      names: NAMES,
      throughBoard: tailEnd.throughBoard,
    }
  }
  const head = headOf(fastening)
  const common = {
    fastening,
    end: 'head' as const,
    tailEnd: null,
    drawnFrom: null,
    names: NAMES,
    throughBoard: false,
  }
  return head
    ? { ...common, stages: head.stages, stateAt: (at) => headState(head, at, pin) }
    : { ...common, stages: PEG_CORD_STAGES, stateAt: pegCordState }
}
