/**
 * The coils that a cutting plan has to look at: those that no best plan needs are left out beforehand, so that a store of
 * thousands is planned as a store of dozens, and as exactly.
 */
import { itemAt } from '../list/item-at'
import { CUT_COST, KERF, type CoilLeft, type CutJob } from './cut-plan'

/**
 * Leaves out what a best plan can do without:
 *
 * 1. coils that are too short for every string that fits them;
 * 2. of coils that serve the same strings, whatever costs more than one that holds all of those strings: everything cut
 *    from the dearer one can be cut from the cheaper one as well;
 * 3. of coils that are alike in everything, more than there are strings for them.
 *
 * @param jobs - to be cut for
 * @param coils - all that fit any of them
 * @returns the coils that are left, in their order
 */
export function worthCutting<Coil extends CoilLeft>(
  jobs: readonly CutJob[],
  coils: readonly Coil[],
): readonly Coil[] {
  // 1. What each coil can serve.
  const left = new Map(coils.map((coil) => [coil.id, coil.left]))
  const uses = new Map<number, { count: number; length: number; key: string }>()
  for (const { id, options } of jobs) {
    for (const { coilId, length, grade } of options) {
      if ((left.get(coilId) ?? 0) < length + KERF) continue
      const use = uses.get(coilId) ?? { count: 0, length: 0, key: '' }
      uses.set(coilId, {
        count: use.count + 1,
        length: use.length + length + KERF,
        key: `${use.key};${id},${length},${grade}`,
      })
    }
  }
  const groups = new Map<string, Coil[]>()
  for (const coil of coils) {
    const use = uses.get(coil.id)
    if (!use) continue
    const key = `${coil.most ?? ''}${use.key}`
    groups.set(key, [...(groups.get(key) ?? []), coil])
  }
  const kept = new Set<number>()
  for (const group of groups.values()) {
    const use = uses.get(itemAt(group, 0).id) as { count: number; length: number }
    for (const coil of worthOf(group, use)) kept.add(coil.id)
  }
  return coils.filter(({ id }) => kept.has(id))
}

function worthOf<Coil extends CoilLeft>(
  group: readonly Coil[],
  { count, length }: { readonly count: number; readonly length: number },
): readonly Coil[] {
  const byCost = [...group].sort((a, b) => costOf(a) - costOf(b) || a.id - b.id)
  // 2. The cheapest that holds everything; a ready-made end comes with one string alone.
  const whole = byCost.findIndex((coil) => coil.left >= length && (coil.most ?? count) >= count)
  const worth = whole < 0 ? byCost : byCost.slice(0, whole + 1)
  // 3. Alike in everything that the plan weighs.
  const alike = new Map<string, number>()
  return worth.filter(({ left, opened }) => {
    const key = `${left} ${opened}`
    alike.set(key, (alike.get(key) ?? 0) + 1)
    return (alike.get(key) ?? 0) <= count
  })
}

/** What touching a coil costs a plan. */
const costOf = ({ left, opened }: CoilLeft) => (opened ? 0 : CUT_COST.fresh) + CUT_COST.leftover * left
