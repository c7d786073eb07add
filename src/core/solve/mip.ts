/**
 * A mixed-integer linear program as plain data: what a plan is made into before a solver sees it, and what comes back.
 */
export interface MipColumn {
  readonly cost: number
  readonly lower: number
  /** Infinity where there is no bound. */
  readonly upper: number
  readonly integer: boolean
}

export interface MipRow {
  readonly lower: number
  readonly upper: number
  readonly terms: readonly (readonly [column: number, coefficient: number])[]
}

/** Minimises the sum of cost times value. */
export interface Mip {
  readonly columns: readonly MipColumn[]
  readonly rows: readonly MipRow[]
}

export interface MipAnswer {
  readonly values: readonly number[]
  readonly objective: number
  /** How far the proven bound lies below the answer, as a share; 0 when it is proven best. */
  readonly gap: number
}

/** Solves a program; null when nothing satisfies every row. */
export type SolveMip = (mip: Mip) => Promise<MipAnswer | null>

/** The answer of a program that always has one. */
export function solved(answer: MipAnswer | null): MipAnswer {
  if (!answer) throw new Error('expected an answer from the solver, for leaving everything out is one')
  return answer
}

/** Gathers columns and rows while a plan is being written down. */
export class MipBuilder implements Mip {
  readonly columns: MipColumn[] = []
  readonly rows: MipRow[] = []

  /** A whole number from 0 to `upper`; returns its column. */
  whole(cost: number, upper: number): number {
    return this.columns.push({ cost, lower: 0, upper, integer: true }) - 1
  }

  /** `sum of terms ≤ limit` */
  atMost(limit: number, terms: MipRow['terms']): void {
    this.rows.push({ lower: -Infinity, upper: limit, terms })
  }

  /** `sum of terms ≥ limit` */
  atLeast(limit: number, terms: MipRow['terms']): void {
    this.rows.push({ lower: limit, upper: Infinity, terms })
  }
}

/** Longest line of an LP file that every reader takes. */
const TERMS_A_LINE = 8

/** The program in the CPLEX LP format; columns are called c0, c1 and so on. */
export function lpText({ columns, rows }: Mip): string {
  const sum = (terms: MipRow['terms']) =>
    terms.length === 0
      ? '0 c0'
      : terms
          .map(
            ([column, coefficient], i) =>
              `${coefficient < 0 ? '-' : '+'} ${number(Math.abs(coefficient))} c${column}${i % TERMS_A_LINE === TERMS_A_LINE - 1 ? '\n' : ''}`,
          )
          .join(' ')
  const costs = columns.flatMap(({ cost }, i) => (cost === 0 ? [] : [[i, cost] as const]))
  const constraints = rows.flatMap(({ lower, upper, terms }, i) => [
    ...(upper < Infinity ? [` u${i}: ${sum(terms)} <= ${number(upper)}`] : []),
    ...(lower > -Infinity ? [` l${i}: ${sum(terms)} >= ${number(lower)}`] : []),
  ])
  const bounds = columns.map(({ lower, upper }, i) =>
    upper === Infinity ? ` c${i} >= ${number(lower)}` : ` ${number(lower)} <= c${i} <= ${number(upper)}`,
  )
  const whole = columns.flatMap(({ integer }, i) => (integer ? [` c${i}`] : []))
  return [
    'Minimize',
    ` cost: ${sum(costs)}`,
    'Subject To',
    ...constraints,
    'Bounds',
    ...bounds,
    ...(whole.length > 0 ? ['Generals', ...whole] : []),
    'End',
    '',
  ].join('\n')
}

/** A decimal without an exponent sign that a reader could take for an operator. */
function number(value: number): string {
  return Number(value.toPrecision(15))
    .toString()
    .replace(/e\+?(-?\d+)$/, 'e$1')
}
