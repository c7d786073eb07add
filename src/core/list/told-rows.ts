/** What is told of the rows of a file that are read by a choice of columns. */

/** What is wrong in one row. */
export interface RowProblem<Column extends string> {
  /** Line of the file. */
  readonly line: number
  readonly column: Column
  readonly sentence: string
}

/** A row's cells as they were understood. */
export interface RowPreview<Column extends string> {
  /** Line of the file. */
  readonly line: number
  readonly cells: Readonly<Record<Column, string>>
  readonly wrong: boolean
}

export interface ToldRows<Column extends string> {
  readonly problems: readonly RowProblem<Column>[]
  readonly preview: readonly RowPreview<Column>[]
}

/** As much of it as anyone reads, with how much there is. */
export interface FirstRows<Column extends string> extends ToldRows<Column> {
  readonly counts: { readonly problems: number; readonly preview: number }
}
