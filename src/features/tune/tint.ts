import type { StringPosition } from '@/core/instrument/instrument'

/** The string's own colour, where it has one. */
export function tintClass({ colour }: StringPosition): string {
  if (colour === 'red') return 'text-string-c'
  return colour === 'natural' ? 'text-ink' : 'text-string-f'
}
