/**
 * What is said of a knot while it is tied: where its anchor goes, what right looks like, and the usual mistake. The step of a
 * fitting and the knot's own sheet say the same, from here.
 */
import { tailFacts, type TailFastening } from '../knots/fastenings'
import { handMoves } from '../knots/hand-moves'
import { say, type Phrase } from '../measure'
import type { Habits } from './habits'

export interface KnotWords {
  readonly right: Phrase
  readonly mistake: Phrase
}

const LOOPS: KnotWords = {
  right: say`The loops lie side by side. The tag points away from the string.`,
  mistake: say`Laying the second loop with the short end: it slips.`,
}
const SLIPPED: KnotWords = {
  right: say`One loop is left standing. The tag points away from the string.`,
  mistake: say`Putting the second loop through from in front: it falls open.`,
}

const OF: Partial<Record<TailFastening, KnotWords>> = {
  'slip loop': SLIPPED,
  'third loop': {
    right: say`Three loops lie side by side over the first bend and its anchor.`,
    mistake: say`Putting the anchor into the eye of a hitch: the knot comes apart round it.`,
  },
  'half knot and anchor': {
    right: say`Half knot and loop both grip the anchor. The string leaves from between them.`,
    mistake: say`Drawing the half knot shut before the anchor is in its eye.`,
  },
  'twisted loop': {
    right: say`Both loops lie over the anchor. It stands square to the string.`,
    mistake: say`Laying the second loop over the string instead of the anchor: it slides off.`,
  },
  'overhand on a bead': {
    right: say`The knot lies close behind the bead, and its tag stands clear.`,
    mistake: say`Passing the end on the wrong side of the loop: it opens at the first pull.`,
  },
  'slip knot on a toggle': {
    right: say`The loop grips the toggle at its middle, square to the string.`,
    mistake: say`The loop near the toggle’s end: it tips, and pulls through.`,
  },
}

/** What right looks like, and the usual mistake; null for what is not tied behind a board. */
export function knotWords(fastening: TailFastening): KnotWords | null {
  if (OF[fastening]) return OF[fastening]
  return tailFacts(fastening).hold === 'knot' ? LOOPS : null
}

/** The anchor as it is laid out. */
export const ANCHORS: Record<Habits['anchor'], string> = {
  'old gut': 'an anchor of old gut',
  dowel: 'a dowel anchor',
  cotton: 'an anchor of rolled cotton',
  'bead and glue': 'a bead',
  toggle: 'a toggle',
}

/** Where the anchor goes, a sentence each: through the first loop, the standing loop, or the eye of what has neither. */
export function anchorGoes(
  fastening: TailFastening,
  anchor: Habits['anchor'],
  place: Habits['anchorPlace'],
): readonly string[] {
  switch (fastening) {
    case 'half knot and anchor':
      return [
        `Leave it open. Put ${ANCHORS[anchor]} into its eye.`,
        'Draw it shut with the long side, so that the tag stays short.',
        'Lay a loop of the long side over the anchor, and draw it up.',
      ]
    case 'twisted loop':
      return [
        `Put ${ANCHORS[anchor]} into the twisted loop. Pull both ends.`,
        'Lay one more loop of the long side round the anchor, and draw it up.',
      ]
    case 'slip loop':
      return [
        `Put ${ANCHORS[anchor]} through the standing loop, level.`,
        'Hold the tag with pliers and pull the long part.',
        'Trim the tag to a thumb’s breadth.',
      ]
    default:
      return [
        `Put ${ANCHORS[anchor]} through the first loop, as far as its middle.`,
        `Its end goes ${place}.`,
      ]
  }
}

/** Every move of tying it, a sentence each; none for what is no knot. */
export function movesSaid(
  fastening: TailFastening,
  { anchor, anchorPlace }: Pick<Habits, 'anchor' | 'anchorPlace'>,
  anchored: boolean,
): readonly string[] {
  const moves = handMoves(fastening)
  if (!moves) return []
  return [
    ...moves.lays,
    ...(anchored && tailFacts(fastening).hold === 'knot' ? anchorGoes(fastening, anchor, anchorPlace) : []),
    ...moves.draws,
  ]
}
