/**
 * Guards for the core's inputs. Every message says what was expected and what came.
 */

/**
 * @param name - what the number is, as it should read in the message
 * @param value - must be finite and greater than zero
 * @returns the same number
 * @throws RangeError otherwise
 */
export function expectPositive(name: string, value: number): number {
  if (!Number.isFinite(value) || value <= 0) {
    throw new RangeError(`${name}: expected a number greater than zero, got ${value}.`)
  }
  return value
}

/**
 * @param name - what the number is, as it should read in the message
 * @param value - must be finite and at least zero
 * @returns the same number
 * @throws RangeError otherwise
 */
export function expectNotNegative(name: string, value: number): number {
  if (!Number.isFinite(value) || value < 0) {
    throw new RangeError(`${name}: expected zero or more, got ${value}.`)
  }
  return value
}
