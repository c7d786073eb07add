import type { Sign } from '@/core/wear/signs'

/** One key for each. */
export const KEYS: Readonly<Record<Sign, string>> = {
  'varnish worn': 'v',
  fraying: 'f',
  dents: 'd',
  discoloured: 'c',
  'false tone': 't',
  'lever marks': 'm',
  rust: 'r',
  'wrap loose': 'w',
  'steep at the board': 'b',
}

/** The word that is said for each. */
export const SAID: Readonly<Record<Sign, string>> = {
  'varnish worn': 'varnish',
  fraying: 'fraying',
  dents: 'dents',
  discoloured: 'discoloured',
  'false tone': 'tone',
  'lever marks': 'marks',
  rust: 'rust',
  'wrap loose': 'loose',
  'steep at the board': 'board',
}
