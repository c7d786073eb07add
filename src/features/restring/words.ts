import type { Doing, StandNow } from '@/core/restring/moments'
import type { RestringWay } from '@/core/restring/taught-ways'

export const WAY_WORDS: Readonly<Record<RestringWay, string>> = {
  'least time': 'Least time',
  'one for one, alternating ends': 'One for one, ends by turns',
  'heaviest first': 'Heaviest first',
  'longest first': 'Longest first',
  'lowest layer first': 'Lowest layer first',
}

export const DOING_WORDS: Readonly<Record<Doing, string>> = {
  off: 'is off',
  slack: 'is on, and slack',
  half: 'is at half its pitch',
  pitch: 'is at pitch',
}

/** How strings stand, by the marks they are drawn with. */
export const STANDS: readonly { readonly stand: StandNow; readonly level: number; readonly word: string }[] =
  [
    { stand: 'off', level: 0, word: 'off' },
    { stand: 'slack', level: 1, word: 'slack' },
    { stand: 'half', level: 2, word: 'half pitch' },
    { stand: 'new', level: 4, word: 'new, at pitch' },
  ]

/** `2 h 10 min` */
export function hoursText(minutes: number): string {
  const whole = Math.round(minutes / 5) * 5
  const hours = Math.floor(whole / 60)
  const rest = whole % 60
  if (hours === 0) return `${Math.max(5, rest)} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

export const percentText = (share: number): string => `${Math.round(share * 100)} %`
