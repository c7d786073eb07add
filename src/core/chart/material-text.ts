/**
 * What a string is made of, as a chart writes it: `gut`, `copper on nylon 6.12`, `copper on silk on steel`.
 */
import type { Construction } from '../strings/construction'
import { cannotBe, carriesTension } from '../strings/bounds'
import { MATERIALS, type Material } from '../strings/materials'

export type Make =
  | { readonly kind: 'plain'; readonly material: Material }
  | {
      readonly kind: 'wound'
      readonly wrap: Material
      readonly bedding: Material | null
      readonly core: Material
    }

/** Other words for the materials; a plain “nylon” is taken as the commoner string nylon. */
const ALSO: Readonly<Record<string, Material>> = {
  nylon: 'nylon 6.12',
  'nylon 612': 'nylon 6.12',
  'nylon 6/12': 'nylon 6.12',
  'nylon 66': 'nylon 6.6',
  'nylon 6/6': 'nylon 6.6',
  'nylon 6': 'nylon 6.6',
  carbon: 'fluorocarbon',
  'fluoro carbon': 'fluorocarbon',
  pvdf: 'fluorocarbon',
  'music wire': 'steel',
  'plain steel': 'steel',
  bronze: 'phosphor bronze',
  wire: 'steel',
  'sheep gut': 'gut',
  'beef gut': 'gut',
}

/** A string's make as a chart writes it; {@link readMake} reads it back. */
export function makeText(c: Construction): string {
  return makeWords(
    c.kind === 'plain'
      ? c
      : { kind: 'wound', wrap: c.wrap.material, bedding: c.bedding?.material ?? null, core: c.core.material },
  )
}

/** A make as a chart writes it. */
export function makeWords(make: Make): string {
  if (make.kind === 'plain') return make.material
  return [make.wrap, ...(make.bedding ? [make.bedding] : []), make.core].join(' on ')
}

/**
 * @param text - as written
 * @throws RangeError with a sentence that can be shown, when a material is not known or there are more than three
 */
export function readMake(text: string): Make {
  const layers = text
    .trim()
    .toLowerCase()
    .replace(/[-_]/g, ' ')
    .replace(/\s+/g, ' ')
    .split(/ (?:on|over) /)
    .map((layer) => materialCalled(layer, text))
  const [outer, middle, inner] = layers
  const carrier = layers.at(-1)
  if (carrier && !carriesTension(carrier))
    throw new RangeError(cannotBe({ kind: 'plain', material: carrier, gauge: 1 }) ?? '')
  if (layers.length > 3 || !outer)
    throw new RangeError(`Expected a material such as “gut” or “copper on nylon”, got “${text.trim()}”.`)
  if (!middle) return { kind: 'plain', material: outer }
  return inner
    ? { kind: 'wound', wrap: outer, bedding: middle, core: inner }
    : { kind: 'wound', wrap: outer, bedding: null, core: middle }
}

function materialCalled(layer: string, text: string): Material {
  const found =
    MATERIALS.find((material) => material === layer) ?? (Object.hasOwn(ALSO, layer) ? ALSO[layer] : undefined)
  if (!found)
    throw new RangeError(`Expected a material such as “gut” or “copper on nylon”, got “${text.trim()}”.`)
  return found
}
