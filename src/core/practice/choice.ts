/** One of the answers that can be chosen. */
export interface Choice {
  readonly words: string
  /** How it goes wrong, in a few words; null for the right one. */
  readonly mistake: string | null
  /** What there is to learn from it, in a sentence. */
  readonly teaches: string
  /** The string that it would bring, by number; null where it brings none. */
  readonly brings: number | null
}
