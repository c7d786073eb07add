/**
 * A value that must be there, where types know only that it may be.
 *
 * @throws Error where there is none: a fault of the program
 */
export function requireValue<T>(value: T): NonNullable<T> {
  if (value === undefined || value === null) throw new Error('expected a value, got none')
  return value
}
