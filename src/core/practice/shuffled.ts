/** All of them, in an order that chance decides. @param random - from 0 up to 1 */
export function shuffled<One>(all: readonly One[], random: () => number): readonly One[] {
  const left = [...all]
  return all.map(() => left.splice(Math.floor(random() * left.length), 1)[0] as One)
}

/** One of them; there must be one. @param random - from 0 up to 1 */
export function anyOf<One>(all: readonly One[], random: () => number): One {
  return all[Math.min(all.length - 1, Math.floor(random() * all.length))] as One
}
