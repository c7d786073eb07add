/** How many strings of some pieces the stores have nothing for. */

/**
 * @param pieces - each with the kind of string that it asks for
 * @param stores - how many can be cut of each kind
 * @param ids - of the pieces to be changed
 */
export function missingIn(
  pieces: readonly { readonly id: number; readonly kind: string }[],
  stores: Readonly<Record<string, { readonly cuts: number }>>,
  ids: readonly number[],
): number {
  const changed = new Set(ids)
  const wanted = new Map<string, number>()
  for (const { id, kind } of pieces) if (changed.has(id)) wanted.set(kind, (wanted.get(kind) ?? 0) + 1)
  return [...wanted].reduce((sum, [kind, count]) => sum + Math.max(0, count - (stores[kind]?.cuts ?? 0)), 0)
}
