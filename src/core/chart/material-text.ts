/**
 * What a string is made of, as a chart writes it: `gut`, `copper on nylon 6.12`, `copper on silk on steel`.
 */
import { requireValue } from '../list/require-value'
import type { Construction } from '../strings/construction'
import { cannotBe, carriesTension } from '../strings/bounds'
import type { Material } from '../strings/materials'
import { layersWritten } from './material-words'

export type Make =
  | { readonly kind: 'plain'; readonly material: Material }
  | {
      readonly kind: 'wound'
      readonly wrap: Material
      readonly bedding: Material | null
      readonly core: Material
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
  const written = layersWritten(text)
  if (!written || written.layers.length > 3)
    throw new RangeError(
      `Expected a material such as “gut” or “copper on nylon”, got “${text.trim().slice(0, 60)}”.`,
    )
  const core = requireValue(written.layers.at(-1))
  if (!carriesTension(core)) throw new RangeError(cannotBe({ kind: 'plain', material: core, gauge: 1 }) ?? '')
  if (written.layers.length === 1) return { kind: 'plain', material: core }
  const [outer, middle] = written.layers
  return {
    kind: 'wound',
    wrap: outer ?? usualWrap(core),
    bedding: written.layers.length === 3 ? (middle ?? null) : null,
    core,
  }
}

/** What a core is usually wound with, where a chart says “wound” and no more; an estimate. */
function usualWrap(core: Material): Material {
  if (core === 'steel') return 'phosphor bronze'
  return core === 'silk' || core === 'gut' ? 'copper' : 'nylon 6.12'
}
