/**
 * Where a string gives way, what to suspect first, and what to do about it before the next one goes on.
 */

import type { StringPosition } from '../instrument/instrument'
import { isKnotted, tailFacts, type TailHold } from '../knots/fastenings'

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
  readonly suspect: string
  readonly remedy: string
  /** Whether the string itself gave way; a slip or a pulled-through knot leaves it whole. */
  readonly broke: boolean
}

const SITES: Record<BreakSite, SiteFacts> = {
  'tuning pin hole': {
    word: 'At the tuning pin hole',
    suspect: 'A sharp edge of the hole.',
    remedy: 'Polish the hole’s edge with soft cord and a mild abrasive; set a fresh becket.',
    broke: true,
  },
  wraps: {
    word: 'In the wraps',
    suspect: 'Crossed or kinked wraps, or over-winding.',
    remedy: 'Lay the wraps side by side this time; look at the pin for a rough place.',
    broke: true,
  },
  'bridge pin': {
    word: 'At the bridge pin',
    suspect: 'A grooved or burred pin; every retune drags the string over it.',
    remedy: 'Polish the groove along the string’s path; have a worn pin replaced.',
    broke: true,
  },
  'lever or disc': {
    word: 'At the lever or disc',
    suspect: 'A sharp edge, or a mechanism out of regulation.',
    remedy: 'Have a technician regulate it; do not file a disc or lever yourself.',
    broke: true,
  },
  'mid-length': {
    word: 'In mid-length',
    suspect: 'Age, finger wear, fatigue.',
    remedy: 'Nothing to mend; look at how old its neighbours are.',
    broke: true,
  },
  soundboard: {
    word: 'At the soundboard',
    suspect: 'A sharp or missing eyelet, or a steep angle.',
    remedy: 'Feel the eyelet’s edge; polish it, or have it renewed.',
    broke: true,
  },
  knot: {
    word: 'At the knot',
    suspect: 'Cracked fibres, or cut by the anchor.',
    remedy: 'Tie the new knot in sound string; round the anchor’s edges.',
    broke: true,
  },
  'knot pulled through': {
    word: 'The knot pulled through',
    suspect: 'No anchor, or one too small.',
    remedy: 'Use an anchor wider than the eyelet’s bore.',
    broke: false,
  },
  slipped: {
    word: 'Slipped, unbroken',
    suspect: 'Too few wraps, no lock, or a knot that was not set.',
    remedy: 'Leave the slack shown here, lock it if it is thin, and set the knot before winding.',
    broke: false,
  },
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
const LOWER_REST: Partial<Record<TailHold, string>> = { posts: 'hitch post', loop: 'hitch pin', foot: 'foot' }

/** The site in the words that suit a position: a wire that goes round posts has no soundboard hole to break at. */
export function siteWord(site: BreakSite, position: StringPosition): string {
  const rest = LOWER_REST[tailFacts(position.tail.fastening).hold]
  if (site === 'soundboard' && rest) return `At the bridge or ${rest}`
  if (site === 'lever or disc' && position.mechanism) return `At the ${position.mechanism}`
  return SITES[site].word
}
