/**
 * The working behind a figure: its formula, what went into it, and where each value comes from.
 */
import type { Measure } from './measure'

export type Source =
  | 'chart'
  | 'reference pitch'
  | 'material table'
  | 'house habit'
  | 'pin record'
  | 'fastening table'
  | 'worked out'
  | 'coil'

export interface WorkingInput {
  readonly symbol: string
  readonly name: string
  readonly measure: Measure
  readonly source: Source
  /** False for a starting value that measurements should replace. */
  readonly firm: boolean
}

export interface Working {
  readonly label: string
  readonly formula: string
  readonly inputs: readonly WorkingInput[]
  readonly result: Measure
  /** A sentence on what the figure leaves out or how far to trust it. */
  readonly caveat: string | null
}

/** One input of a working; firm unless said otherwise. */
export function input(
  symbol: string,
  name: string,
  measure: Measure,
  source: Source,
  firm = true,
): WorkingInput {
  return { symbol, name, measure, source, firm }
}
