/**
 * A row to keep: as it was, with what was typed laid over it. Cells shown in inches are rounded, so reading back those
 * that nobody typed would change them by a hair.
 *
 * @param kept - the row's cells as they are kept
 * @param read - the cells of what was read from the screen
 * @param typed - the columns that were typed in
 */
export function typedOver<Column extends string>(
  kept: Readonly<Record<Column, string>>,
  read: Readonly<Record<Column, string>>,
  typed: readonly Column[],
): Readonly<Record<Column, string>> {
  return { ...kept, ...Object.fromEntries(typed.map((column) => [column, read[column]])) }
}
