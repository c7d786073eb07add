/**
 * What is said of a knot while it is tied: where its anchor goes, what right looks like, and the usual mistake. The step of a
 * fitting and the knot's own sheet say the same, from here.
 */
import type { TailFastening } from '../knots/fastenings'
import { tailFacts } from '../knots/fastenings'
import { say, type Phrase } from '../measure'
import type { Habits } from './habits'

export interface KnotWords {
  readonly right: Phrase
  readonly mistake: Phrase
}

const LOOPS: KnotWords = {
  right: say`The loops lie side by side and the tag points away from the string.`,
  mistake: say`Making the second loop with the working end instead of the standing part; it slips.`,
}
const SLIPPED: KnotWords = {
  right: say`The first loop closes round the second, and the tag points away from the string.`,
  mistake: say`Putting the second loop through from in front: it falls apart under pull.`,
}

const OF: Partial<Record<TailFastening, KnotWords>> = {
  'slip loop': SLIPPED,
  'loop and through': SLIPPED,
  'third loop': {
    right: say`Three loops lie side by side over the bight and its anchor.`,
    mistake: say`Putting the anchor in the eye of a hitch instead of the bend of the bight: the knot comes apart round it.`,
  },
  'half knot and anchor': {
    right: say`Half knot and hitch both grip the anchor, and the string leaves from between them.`,
    mistake: say`Drawing the half knot shut before the anchor is in its eye: nothing holds the knot then.`,
  },
  'twisted loop': {
    right: say`Both loops lie over the anchor, which stands square to the string.`,
    mistake: say`Laying the second loop over the string instead of over the anchor: it slides off.`,
  },
  'overhand on a bead': {
    right: say`The knot lies close behind the bead, and its tag stands clear.`,
    mistake: say`Passing the end on the wrong side of the loop: it is only a curl, and opens at the first pull.`,
  },
  'slip knot on a toggle': {
    right: say`The loop grips the toggle at its middle, and the toggle lies square to the string.`,
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

/** Where the anchor goes: through the bight of the loop knots, in the eye of those that have none. */
export function anchorGoes(
  fastening: TailFastening,
  anchor: Habits['anchor'],
  place: Habits['anchorPlace'],
): string {
  switch (fastening) {
    case 'half knot and anchor':
      return `Leave the half knot open, put ${ANCHORS[anchor]} in its eye, and lay a hitch of the standing part over the anchor`
    case 'twisted loop':
      return `Put ${ANCHORS[anchor]} in the loop, and lay another loop of the standing part over the anchor`
    case 'two-loop, crossed':
    case 'two-loop, crossed, behind':
      return `Put ${ANCHORS[anchor]} through the first loop, its long end ${place}`
    case 'slip loop':
    case 'loop and through':
      return `Put ${ANCHORS[anchor]} through the standing loop`
    default:
      return `Put ${ANCHORS[anchor]} through the bend of the bight, its long end ${place}`
  }
}
