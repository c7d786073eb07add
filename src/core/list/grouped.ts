/** Rows by what they belong to, each group in the order that they came in. */
export function grouped<Row, Key>(
  rows: readonly Row[],
  keyOf: (row: Row) => Key,
): ReadonlyMap<Key, readonly Row[]> {
  const groups = new Map<Key, Row[]>()
  for (const row of rows) {
    const key = keyOf(row)
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}
