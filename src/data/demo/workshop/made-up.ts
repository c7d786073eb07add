/** Instruments of the laid-out workshop, made from those of the demo. */
import { type Instrument } from '@/core/instrument/instrument'
import { itemAt } from '@/core/list/item-at'
import { type Construction } from '@/core/strings/construction'
import { workshopName, workshopOwner } from './workshop-names'

export const slugOf = (name: string) => name.toLowerCase().replace(/ /g, '-')

/** One of the demo's instruments under another name, its gauges a few hundredths off. */
export function madeUp(all: readonly Instrument[], index: number): Instrument {
  const one = itemAt(all, index % all.length)
  const off = (Math.floor(index / all.length) % 6) * 0.01e-3
  const name = workshopName(index)
  return {
    ...one,
    name,
    slug: slugOf(name),
    owner: workshopOwner(index),
    positions: one.positions.map((p) => ({ ...p, construction: thicker(p.construction, off) })),
  }
}

function thicker(construction: Construction, by: number): Construction {
  return construction.kind === 'plain' ? { ...construction, gauge: construction.gauge + by } : construction
}
