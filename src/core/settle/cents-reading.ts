import type { Sure } from './room'

/** A reading of how far a string stood from pitch. Ages of the string in hours. */
export interface CentsReading {
  /** Age when it was last brought to pitch. */
  readonly tuned: number
  /** Cents that it was left at then; zero where it was brought to pitch. */
  readonly left: number
  readonly age: number
  /** Cents against the target; negative is flat. */
  readonly cents: number
  /** By how much the weather is known to have raised it since it was tuned, cents; left out where nothing is. */
  readonly weather?: Sure | null
}
