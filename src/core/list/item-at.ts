/**
 * The item of a list at a place where there must be one. Types know only that there may be none; so does a list of
 * samples, whose items are numbers.
 *
 * @param index - counted from 0
 * @throws RangeError where the list has nothing there: a fault of the program
 */
export function itemAt<T>(list: { readonly [index: number]: T; readonly length: number }, index: number): T {
  const item = list[index]
  if (item === undefined) throw new RangeError(`expected an item at ${index} of ${list.length}`)
  return item
}
