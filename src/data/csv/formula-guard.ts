/**
 * Cells that a spreadsheet would take for a formula leave with an apostrophe in front, which reading takes off again.
 */
const FORMULA = /^[=+\-@\t\r]/

/** A cell as it may leave. */
export function guarded(cell: string): string {
  return FORMULA.test(cell) ? `'${cell}` : cell
}

/** A cell without the apostrophe that guarded it. */
export function unguarded(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell
}
