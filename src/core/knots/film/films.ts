/**
 * Which film shows how a knot is tied.
 */
import type { TailFastening } from '../fastenings'
import type { AnchorPlace } from '../tails/tail-end'
import { left, right, type Film } from './move'
import { halfKnotFilm, twistedLoopFilm } from './round-anchor'
import { slipLoopFilm } from './slip-loop'
import { crossedFilm, openBightFilm, thirdLoopFilm } from './two-loops'

/** The end goes round, and draws the string behind it: as its stages go. */
const slipKnot: Film = {
  counts: [],
  lies: 'as hung',
  lays: [{ until: 2, holds: [left('thumb and finger', [-1.2, -6, 0])] }],
  anchored: [],
  draws: [{ until: 4, holds: [right('pulls', [0, 6, 0])] }],
}
const overhandKnot: Film = {
  counts: [],
  lies: 'as hung',
  lays: [
    { until: 0.3, holds: [left('thumb and finger', [0, 3, 0])] },
    { until: 4, holds: [left('thumb and finger', [0, 3, 0])] },
  ],
  anchored: [],
  draws: [],
}

const FILMS: Partial<Record<TailFastening, (place: AnchorPlace) => Film>> = {
  'two-loop, open bight': openBightFilm,
  'two-loop, crossed': (place) => crossedFilm(place, true),
  'two-loop, crossed, behind': (place) => crossedFilm(place, false),
  'third loop': thirdLoopFilm,
  'slip loop': slipLoopFilm,
  'half knot and anchor': halfKnotFilm,
  'twisted loop': twistedLoopFilm,
  'slip knot on a toggle': () => slipKnot,
  'overhand on a bead': () => overhandKnot,
}

/** How hands tie it, its anchor where the house puts it; null for what is no knot. */
export function filmOf(fastening: TailFastening, place: AnchorPlace): Film | null {
  return FILMS[fastening]?.(place) ?? null
}
