/**
 * A request that can't be carried out, with the one sentence that says why.
 */
export class Refusal extends Error {
  /**
   * @param status - 400 for bad input, 404 for something that isn't there, 409 for what has changed meanwhile
   * @param message - one clear sentence
   * @param field - the field the sentence belongs to, where there is one
   */
  constructor(
    readonly status: 400 | 404 | 409,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message)
    this.name = 'Refusal'
  }
}

/**
 * Whether an error is a refusal. By its name: the server holds several copies of this module, one a bundle, and the
 * store is shared among them.
 */
export function isRefusal(error: unknown): error is Refusal {
  return error instanceof Error && error.name === 'Refusal'
}

/** The value, or a 404 with the sentence given. */
export function found<T>(value: T | undefined, sentence: string): T {
  if (value === undefined) throw new Refusal(404, sentence)
  return value
}
