/** Every move of every walk is named by a test beside this one: the list of them, and where it is held. */
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'

/** How many moves each walk has. */
const MOVES: Readonly<Record<string, number>> = {
  /** Looking and direction. */
  D: 4,
  /** A plain harp string. */
  G: 20,
  /** Knots. */
  K: 10,
  /** The anchor. */
  A: 5,
  /** Slack. */
  S: 4,
  /** Nylon with a hitch at the pin. */
  N: 9,
  /** A kit harp with loop knots. */
  B: 8,
  /** A kit harp with beads. */
  C: 8,
  /** A zither whose loops go under the bridge. */
  Z: 8,
  /** One on hitch pins. */
  Y: 7,
  /** One wire that is two strings. */
  W: 10,
  /** A scroll head. */
  O: 9,
  /** Layered feet. */
  F: 9,
}
/** Walks whose moves have no numbers: the interval, before a date and why it broke, ordering. */
const FILES = ['in-the-interval.test.ts', 'before-and-why.test.ts', 'ordering.test.ts']

const folder = __dirname
const files = readdirSync(folder).filter(
  (file) => file.endsWith('.test.ts') && file !== path.basename(__filename),
)
const named = new Set(
  files.flatMap((file) => readFileSync(path.join(folder, file), 'utf8').match(/\b[A-Z]\d{1,2}\b/g) ?? []),
)

test('no move is without a test that names it', () => {
  const all = Object.entries(MOVES).flatMap(([walk, count]) =>
    Array.from({ length: count }, (_, i) => `${walk}${i + 1}`),
  )
  expect(all).toHaveLength(111)
  expect(all.filter((move) => !named.has(move))).toEqual([])
  expect(files).toEqual(expect.arrayContaining(FILES))
})
