/**
 * The Alexander polynomial of a closed curve, from its Gauss code: the same for every drawing of one knot.
 */
import { itemAt } from '../../list/item-at'
import { simplified, type GaussCode } from './gauss-code'

/** Coefficients from the lowest power up; a power of t and a sign are left out of account. */
export type Polynomial = readonly number[]

/**
 * Works out the polynomial as a minor of the matrix of the knot group's relations (Alexander 1928; Fox 1953): one row for
 * a crossing, one column for an arc from one passage underneath to the next.
 *
 * @param closed - code of a closed curve; the ends of an open one must not be crossed on their way to each other
 * @returns normalised: no zero at either end, and the sum of the coefficients is 1. The unknot's is [1]
 */
export function alexander(closed: GaussCode): Polynomial {
  const code = simplified(closed)
  const size = code.length / 2
  if (size < 2) return [1]
  const arcOf = arcs(code)
  // One row and one column are left out.
  const matrix = Array.from({ length: size - 1 }, () => Array.from({ length: size - 1 }, (): Poly => []))
  for (let row = 0; row < size - 1; row += 1) {
    const { over, into, out, sign } = itemAt(arcOf, row)
    const add = (arc: number, poly: Poly) => {
      if (arc < size - 1) itemAt(matrix, row)[arc] = sum(itemAt(itemAt(matrix, row), arc), poly)
    }
    add(over, [1n, -1n])
    add(into, sign > 0 ? [0n, 1n] : [-1n])
    add(out, sign > 0 ? [-1n] : [0n, 1n])
  }
  return normalised(determinant(matrix))
}

/** The knot's determinant, |Δ(−1)|: 1 for the unknot, 3 for an overhand. */
export function determinantOf(polynomial: Polynomial): number {
  return Math.abs(polynomial.reduce((so, c, i) => so + (i % 2 === 0 ? c : -c), 0))
}

interface ArcsAt {
  readonly over: number
  readonly into: number
  readonly out: number
  readonly sign: 1 | -1
}

/** The arcs that meet at each crossing: the one in front, and those that go in behind it and come out. */
function arcs(code: GaussCode): readonly ArcsAt[] {
  const size = code.length / 2
  const at = Array.from({ length: size }, () => ({ over: 0, into: 0, out: 0, sign: 1 as 1 | -1 }))
  let arc = 0
  for (const { crossing, over, sign } of code) {
    const here = itemAt(at, crossing - 1)
    here.sign = sign
    if (over) here.over = arc
    else {
      here.into = arc
      arc = (arc + 1) % size
      here.out = arc
    }
  }
  return at
}

type Poly = readonly bigint[]

const sum = (a: Poly, b: Poly): Poly =>
  trim(Array.from({ length: Math.max(a.length, b.length) }, (_, i) => (a[i] ?? 0n) + (b[i] ?? 0n)))
const negative = (a: Poly): Poly => a.map((c) => -c)

function trim(a: readonly bigint[]): Poly {
  let length = a.length
  while (length > 0 && a[length - 1] === 0n) length -= 1
  return a.slice(0, length)
}

function product(a: Poly, b: Poly): Poly {
  if (a.length === 0 || b.length === 0) return []
  const result = Array.from({ length: a.length + b.length - 1 }, () => 0n)
  a.forEach((x, i) =>
    b.forEach((y, j) => {
      result[i + j] = itemAt(result, i + j) + x * y
    }),
  )
  return trim(result)
}

/** a / b where b divides a, as it does in fraction-free elimination. */
function quotient(a: Poly, b: Poly): Poly {
  const rest = [...a]
  const result = Array.from({ length: Math.max(0, a.length - b.length + 1) }, () => 0n)
  for (let i = result.length - 1; i >= 0; i -= 1) {
    const c = itemAt(rest, i + b.length - 1) / itemAt(b, b.length - 1)
    result[i] = c
    b.forEach((y, j) => {
      rest[i + j] = itemAt(rest, i + j) - c * y
    })
  }
  return trim(result)
}

/** Determinant over the integers' polynomials by fraction-free elimination (Bareiss 1968). */
function determinant(matrix: Poly[][]): Poly {
  const n = matrix.length
  let last: Poly = [1n]
  let sign = 1
  for (let k = 0; k < n - 1; k += 1) {
    const pivot = matrix.findIndex((row, i) => i >= k && itemAt(row, k).length > 0)
    if (pivot < 0) return []
    if (pivot !== k) {
      ;[matrix[k], matrix[pivot]] = [itemAt(matrix, pivot), itemAt(matrix, k)]
      sign = -sign
    }
    const top = itemAt(matrix, k)
    for (let i = k + 1; i < n; i += 1) {
      const row = itemAt(matrix, i)
      for (let j = k + 1; j < n; j += 1) {
        row[j] = quotient(
          sum(product(itemAt(row, j), itemAt(top, k)), negative(product(itemAt(row, k), itemAt(top, j)))),
          last,
        )
      }
    }
    last = itemAt(top, k)
  }
  const value = itemAt(itemAt(matrix, n - 1), n - 1)
  return sign < 0 ? negative(value) : value
}

function normalised(poly: Poly): Polynomial {
  const numbers = poly.map(Number)
  const first = numbers.findIndex((c) => c !== 0)
  if (first < 0) return [0]
  const shifted = numbers.slice(first)
  return shifted.reduce((so, c) => so + c, 0) < 0 ? shifted.map((c) => (c === 0 ? 0 : -c)) : shifted
}
