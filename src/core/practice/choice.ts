/** One of the answers that can be chosen. */
export interface Choice {
  readonly words: string
  /** How it goes wrong, in a few words; null for the right one. */
  readonly mistake: string | null
  /** What there is to learn from it, in a sentence. */
  readonly teaches: string
  /** What it comes to: the string that it would bring, by number, or cents off pure; null where neither is asked. */
  readonly brings: number | null
}
