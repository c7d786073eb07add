/** The kinds of instrument that there are words for. */
export const FAMILIES = [
  'pedal harp',
  'lever harp',
  'lap harp',
  'wire-strung harp',
  'lap zither',
  'loop-end zither',
  'long zither',
  'scroll-head zither',
  'lyre',
] as const
export type Family = (typeof FAMILIES)[number]
