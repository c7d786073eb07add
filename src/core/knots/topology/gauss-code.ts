/**
 * The signed Gauss code of a diagram: every crossing in the order it is met along the curve, over or under.
 */
import { itemAt } from '../../list/item-at'
import { requireValue } from '../../list/require-value'
import type { Crossing } from './crossings'

export interface Meeting {
  /** Numbered from 1 in the order of first meeting. */
  readonly crossing: number
  readonly over: boolean
  readonly sign: 1 | -1
}

export type GaussCode = readonly Meeting[]

/** The code of one curve's crossings. */
export function gaussCode(crossings: readonly Crossing[]): GaussCode {
  const met = crossings
    .flatMap((c, i) => [
      { at: c.over, i, over: true, sign: c.sign },
      { at: c.under, i, over: false, sign: c.sign },
    ])
    .sort((a, b) => a.at - b.at)
  const numbers = new Map<number, number>()
  return met.map(({ i, over, sign }) => {
    if (!numbers.has(i)) numbers.set(i, numbers.size + 1)
    return { crossing: requireValue(numbers.get(i)), over, sign }
  })
}

/** `O1+ U2- …`, as it is usually written. */
export function codeText(code: GaussCode): string {
  return code
    .map(({ crossing, over, sign }) => `${over ? 'O' : 'U'}${crossing}${sign > 0 ? '+' : '-'}`)
    .join(' ')
}

/** The sum of the signs: how much the diagram winds about itself. */
export function writhe(code: GaussCode): number {
  return code.filter(({ over }) => over).reduce((sum, { sign }) => sum + sign, 0)
}

/** The code with one crossing flipped: what was in front is behind. */
export function flipped(code: GaussCode, crossing: number): GaussCode {
  return code.map((m) => (m.crossing === crossing ? { ...m, over: !m.over, sign: m.sign > 0 ? -1 : 1 } : m))
}

/**
 * The same closed curve with what can be taken out at a glance taken out: a twist that crosses only itself (Reidemeister's
 * first move), and two crossings in a row where one part lies wholly over the other (his second).
 */
export function simplified(code: GaussCode): GaussCode {
  let now = code
  for (let gone = loose(now); gone.length > 0; gone = loose(now)) {
    const out = new Set(gone)
    now = now.filter(({ crossing }) => !out.has(crossing))
  }
  const numbers = new Map<number, number>()
  for (const { crossing } of now) if (!numbers.has(crossing)) numbers.set(crossing, numbers.size + 1)
  return now.map((m) => ({ ...m, crossing: requireValue(numbers.get(m.crossing)) }))
}

/** Crossings of one move that can be made now. */
function loose(code: GaussCode): readonly number[] {
  const at = (i: number) => itemAt(code, (i + code.length) % code.length)
  for (let i = 0; i < code.length; i += 1) {
    const [a, b] = [at(i), at(i + 1)]
    if (a.crossing === b.crossing) return [a.crossing]
    if (a.over !== b.over || a.sign === b.sign) continue
    // Met side by side on the other part as well, in either direction.
    const other = code.findIndex((m, k) => k !== i && m.crossing === a.crossing)
    if (at(other + 1).crossing === b.crossing && other + 1 !== i) return [a.crossing, b.crossing]
    if (
      at(other - 1).crossing === b.crossing &&
      (other - 1 + code.length) % code.length !== (i + 1) % code.length
    )
      return [a.crossing, b.crossing]
  }
  return []
}
