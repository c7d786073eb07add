/**
 * The string that a packet and a calliper together describe.
 */
import type { Construction } from '../strings/construction'
import type { Material } from '../strings/materials'

/** What a packet calls the material: a plain one, or wound as the chart has it. */
export type PacketMaterial = Material | 'wound, as charted'

/**
 * A wound string's core can't be measured without unwinding it, so core and bedding are taken as charted and the wrap
 * makes up the rest.
 *
 * @param named - on the packet
 * @param gauge - measured over all, m
 * @param charted - the position's
 * @throws RangeError with a sentence that can be shown, when core and bedding alone are as thick
 */
export function asMeasured(named: PacketMaterial, gauge: number, charted: Construction): Construction {
  if (named !== 'wound, as charted') return { kind: 'plain', material: named, gauge }
  if (charted.kind !== 'wound') throw new RangeError('The chart has a plain string here, not a wound one.')
  const diameter = (gauge - charted.core.diameter) / 2 - (charted.bedding?.thickness ?? 0)
  if (diameter <= 0)
    throw new RangeError('That is no thicker than the charted core with its bedding; measure over the wrap.')
  return { ...charted, wrap: { ...charted.wrap, diameter } }
}
