/** What keeps a house from being opened or written, with what to do. */
export class WorkshopTrouble extends Error {
  /**
   * @param message - what is wrong, in a sentence
   * @param todo - what to do, in a sentence
   */
  constructor(
    message: string,
    readonly todo: string,
  ) {
    super(message)
    this.name = 'HouseTrouble'
  }
}

/** By its name: the server holds several copies of this module, one a bundle. */
export function isWorkshopTrouble(error: unknown): error is WorkshopTrouble {
  return error instanceof Error && error.name === 'HouseTrouble'
}
