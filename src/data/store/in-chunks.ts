/** SQLite takes only so many values in one statement. */
const AT_ONCE = 500

/** Reads rows of many ids, some hundreds at a time. */
export function inChunks<Row>(
  ids: readonly number[],
  read: (some: readonly number[]) => readonly Row[],
): readonly Row[] {
  const rows: Row[] = []
  for (let from = 0; from < ids.length; from += AT_ONCE) rows.push(...read(ids.slice(from, from + AT_ONCE)))
  return rows
}
