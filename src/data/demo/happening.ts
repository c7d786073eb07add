/** Something that happened at the Lantern Shelf. */
export interface Happening {
  /** ms since 1970 */
  readonly at: number
  readonly happen: () => void
}
