/**
 * Where a string gives way, what to suspect first, and what to do about it before the next one goes on.
 */

import type { StringPosition } from '../instrument/instrument'
import { upperRest } from '../fitting/parts'
import { isKnotted, isOnFoot, tailFacts, type TailHold } from '../knots/fastenings'

export const BREAK_SITES = [
  'tuning pin hole',
  'wraps',
  'bridge pin',
  'lever or disc',
  'mid-length',
  'soundboard',
  'knot',
  'knot pulled through',
  'slipped',
] as const
export type BreakSite = (typeof BREAK_SITES)[number]

export interface SiteFacts {
  readonly word: string
  /** Whether the string itself gave way; a slip or a pulled-through knot leaves it whole. */
  readonly broke: boolean
}

const SITES: Record<BreakSite, SiteFacts> = {
  'tuning pin hole': { word: 'At the tuning pin hole', broke: true },
  wraps: { word: 'In the wraps', broke: true },
  'bridge pin': { word: 'At the bridge pin', broke: true },
  'lever or disc': { word: 'At the lever or disc', broke: true },
  'mid-length': { word: 'In mid-length', broke: true },
  soundboard: { word: 'At the soundboard', broke: true },
  knot: { word: 'At the knot', broke: true },
  'knot pulled through': { word: 'The knot pulled through', broke: false },
  slipped: { word: 'Slipped, unbroken', broke: false },
}

export interface Suspected {
  readonly suspect: string
  /** What to do about it before the next one goes on. */
  readonly remedy: string
}

/** A string that is wrapped on a foot, caught in a cord: sites that are something else there. */
const ON_FOOT: Partial<Record<BreakSite, Suspected>> = {
  'tuning pin hole': {
    suspect: 'A stopper loop drawn to a kink, or a rough cord.',
    remedy: 'Tie a fresh stopper loop. Have a worn cord renewed.',
  },
  wraps: {
    suspect: 'Turns on the foot that cross, or that were laid loose.',
    remedy: 'Lay the turns tight, side by side. Feel the foot for a rough place.',
  },
  soundboard: {
    suspect: 'A sharp edge of the foot, or of the board’s end.',
    remedy: 'Feel both for a burr, and polish it along the string’s path.',
  },
  slipped: {
    suspect: 'Turns that were laid loose, or a stopper loop that did not sit.',
    remedy: 'Lay the first turns tight. Look at the stopper loop twice.',
  },
}
/** The same sites in words. */
const FOOT_WORDS: Partial<Record<BreakSite, string>> = {
  'tuning pin hole': 'At the stopper loop',
  wraps: 'In the turns on its foot',
  soundboard: 'At the foot',
}

/** What to suspect first at a site, in a fitting that has only the parts that this position has. */
export function suspectedAt(site: BreakSite, position: StringPosition): Suspected {
  const { tail, mechanism } = position
  const { hold } = tailFacts(tail.fastening)
  const onFoot = isOnFoot(position) ? ON_FOOT[site] : undefined
  if (onFoot) return onFoot
  switch (site) {
    case 'tuning pin hole':
      return {
        suspect: 'A sharp edge of the hole.',
        remedy: 'Polish the hole’s edge with soft cord and a mild abrasive. Make a fresh bend there.',
      }
    case 'wraps':
      return {
        suspect: 'Crossed or kinked wraps, or too many.',
        remedy: 'Lay the wraps side by side this time. Look for a rough place on the pin.',
      }
    case 'bridge pin':
      return atUpperRest(upperRest(position))
    case 'lever or disc':
      return {
        suspect: `A sharp edge of the ${mechanism ?? 'lever'}, or one out of regulation.`,
        remedy: `Have a technician regulate it. Do not file a ${mechanism ?? 'lever'} yourself.`,
      }
    case 'mid-length':
      return {
        suspect: 'Age, finger wear, fatigue.',
        remedy: 'There is nothing to mend. See how old its neighbours are.',
      }
    case 'soundboard':
      return belowTheBridge(tail)
    case 'knot':
      return {
        suspect:
          hold === 'knot'
            ? 'Cracked fibres, or cut by the anchor.'
            : `Cracked fibres, or cut by the ${hold}.`,
        remedy: `Tie the new knot in sound string. Round the edges of the ${hold === 'knot' ? 'anchor' : hold}.`,
      }
    case 'knot pulled through':
      return hold === 'knot'
        ? {
            suspect: 'No anchor, or one too small.',
            remedy: 'Use an anchor wider than its hole.',
          }
        : {
            suspect: `A ${hold} too small for its hole.`,
            remedy: `Use a ${hold} wider than its hole.`,
          }
    case 'slipped':
      return {
        suspect: isKnotted(tail.fastening)
          ? 'Too few wraps, no lock, or a knot that was not set.'
          : 'Too few wraps, or an end that was not bent at its hole.',
        remedy: isKnotted(tail.fastening)
          ? 'Leave the slack shown here. Set the knot before you wind.'
          : 'Leave the slack shown here, and keep the pull while you wind.',
      }
  }
}

function atUpperRest(rest: ReturnType<typeof upperRest>): Suspected {
  switch (rest) {
    case 'nut slot':
      return {
        suspect: 'A sharp nut slot.',
        remedy: 'Polish the slot along the string’s path. Have a worn nut replaced.',
      }
    case 'bridge pin':
      return {
        suspect: 'A grooved or burred pin. Every retune drags the string over it.',
        remedy: 'Polish the groove along the string’s path. Have a worn pin replaced.',
      }
    case 'bridge':
    case 'upper bridge':
      return {
        suspect: `A sharp or grooved ${rest}. Every retune drags the string over it.`,
        remedy: 'Polish it along the string’s path. Have a worn bridge replaced.',
      }
  }
}

function belowTheBridge({ fastening, eyeletBore }: StringPosition['tail']): Suspected {
  const { hold } = tailFacts(fastening)
  const through = fastening === 'loop through itself'
  if (hold === 'knot' && eyeletBore !== null)
    return {
      suspect: 'A sharp or missing eyelet, or a steep angle.',
      remedy: 'Feel the eyelet’s edge. Polish it, or have it renewed.',
    }
  if (isKnotted(fastening))
    return {
      suspect: 'A sharp edge of the hole in the board, or a steep angle.',
      remedy: 'Feel the hole’s edge. Have it bushed if it is rough.',
    }
  const part = through ? 'bridge' : hold === 'posts' ? 'hitch post' : 'hitch pin'
  return {
    suspect: `A sharp edge of the bridge${through ? '' : ` or the ${part}`}.`,
    remedy: `Feel ${through ? 'it' : 'both'} for a burr, and polish it along the string’s path.`,
  }
}

/** What is known of a site. */
export function siteFacts(site: BreakSite): SiteFacts {
  return SITES[site]
}

/** The sites that a string at this position can give way at, in the order they lie from pin to knot. */
export function sitesFor(position: StringPosition): readonly BreakSite[] {
  const tied = isKnotted(position.tail.fastening)
  return BREAK_SITES.filter((site) => {
    if (site === 'lever or disc') return position.mechanism !== null
    if (site === 'knot' || site === 'knot pulled through') return tied
    return true
  })
}

/** What a string that is not tied behind a soundboard goes to below its bridge. */
const LOWER_REST: Partial<Record<TailHold, string>> = { posts: 'hitch post', loop: 'hitch pin' }

/** The site in the words that suit a position: a wire that goes round posts has no soundboard hole to break at. */
export function siteWord(site: BreakSite, position: StringPosition): string {
  const rest =
    position.tail.fastening === 'loop through itself'
      ? null
      : LOWER_REST[tailFacts(position.tail.fastening).hold]
  if (site === 'soundboard' && position.tail.fastening === 'loop through itself') return 'At the bridge'
  if (site === 'soundboard' && rest) return `At the bridge or ${rest}`
  if (site === 'bridge pin') return `At the ${upperRest(position)}`
  const onFoot = isOnFoot(position) ? FOOT_WORDS[site] : undefined
  if (onFoot) return onFoot
  if (site === 'lever or disc' && position.mechanism) return `At the ${position.mechanism}`
  return SITES[site].word
}
