import type { ShelfReading } from '@/core/names/find-on-shelf'
import type { Instrument } from '@/core/instrument/instrument'

/**
 * Strings of the instrument at hand that a text can mean; none when it is no name here. The reader of names is fetched with the
 * first name, so that no page waits for it.
 */
export async function readHere(text: string, instrument: Instrument): Promise<readonly ShelfReading[]> {
  const { findOnShelf } = await import('@/core/names/find-on-shelf')
  try {
    return findOnShelf(text, [instrument])
  } catch {
    return []
  }
}

/** Names as the players of an instrument say them. */
export function exampleOf({ calledBy, positions }: Instrument): string {
  switch (calledBy) {
    case 'harp octave':
      return '4A, A3, 25'
    case 'number':
      return '4, last, A4'
    case 'role':
      return `${positions.at(-1)?.called.role ?? 'bass'}, 2`
  }
}
