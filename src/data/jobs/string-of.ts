import type { StringPosition } from '@/core/instrument/instrument'
import { leadingNames } from '@/core/instrument/names'
import type { StoredInstrument } from '../instruments/instruments'

/** `3rd-octave G of Lovage`, for the history. */
export function stringOf({ instrument, habits }: StoredInstrument, position: StringPosition): string {
  return `${leadingNames(position, habits.octaveNames).name} of ${instrument.name}`
}
