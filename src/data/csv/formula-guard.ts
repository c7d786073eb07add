/**
 * Cells that a spreadsheet would take for a formula leave with an apostrophe in front, which reading takes off again. What stands
 * before the sign and is not seen is passed over by some of them, and wide signs are taken for narrow ones.
 */
const FORMULA = /^[\s\u200b-\u200f\u2060\ufeff\0]*[=+\-@＝＋－＠]|^[\t\r\n]/

/** A cell as it may leave. */
export function guarded(cell: string): string {
  return FORMULA.test(cell) ? `'${cell}` : cell
}

/** A cell without the apostrophe that guarded it. */
export function unguarded(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell
}
