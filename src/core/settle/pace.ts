/**
 * How fast a string settles, in words.
 */
import type { Material } from '../strings/materials'

/** A material as people call it when they settle it: which nylon makes no difference here. */
export const plainWord = (material: Material): string => material.replace(/ [\d.]+$/, '')

/**
 * Against what strings of its material usually do.
 *
 * @param share - its drift as a share of that
 * @example paceWords(1.4, 'nylon 6.12') // 'faster than nylon usually does'
 */
export function paceWords(share: number, material: Material): string {
  const usually = `${plainWord(material)} usually does`
  if (share > 1.15) return `faster than ${usually}`
  return share < 0.87 ? `more slowly than ${usually}` : `as ${usually}`
}
