import { coreMaterial, type Construction } from '../strings/construction'

/** What a hand can tell strings apart by. */
export type MaterialClass = 'gut' | 'nylon' | 'fluorocarbon' | 'silk' | 'wire' | 'wound'

/** The class a hand can tell. */
export function materialClass(c: Construction): MaterialClass {
  if (c.kind === 'wound') return 'wound'
  const { name, wire } = coreMaterial(c)
  if (wire) return 'wire'
  return name === 'gut' || name === 'silk' || name === 'fluorocarbon' ? name : 'nylon'
}
