/**
 * Something measured on an instrument that came from a preset.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import type { HardwareColumn } from '@/core/hardware/columns'
import type { QuantityKey } from '@/core/measuring/quantity'
import { takeMeasure } from '@/core/measuring/take-measure'
import type { Done, Store } from '../store/database'
import { instruments, positions } from '../store/schema'
import { instrumentBySlug, positionId, positionRow } from './instruments'

/** What is measured here of the hardware holds for every string. */
const COLUMN_OF: Partial<Record<QuantityKey, HardwareColumn>> = { pin: 'diameter', board: 'board' }

/**
 * Takes a measured value over, with what follows from it for what is still assumed.
 *
 * @param value - m
 * @throws Refusal 409 where the chart came whole, 400 when the value can't be
 */
export function measureInstrument(store: Store, slug: string, key: QuantityKey, value: number): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { id, instrument, positionIds, hardwareMeasured, measuredKeys: measured } = stored
  if (measured === null)
    throw new Refusal(409, `The chart of ${instrument.name} came whole: set it right there.`)
  const after = measuredOrRefused(() => takeMeasure(instrument, measured, key, value))
  const summary = `${instrument.name} measured: ${key}`
  return store.act({ kind: 'chart', summary, instrumentId: id }, () => {
    for (const [i, position] of after.positions.entries())
      if (position !== instrument.positions[i])
        store.rows
          .update(positions)
          .set(positionRow(id, position))
          .where(eq(positions.id, positionId(stored, position.number)))
          .run()
    const column = COLUMN_OF[key]
    if (column)
      for (const [number, row] of positionIds)
        store.rows
          .update(positions)
          .set({
            hardwareMeasured: JSON.stringify([...new Set([...(hardwareMeasured.get(number) ?? []), column])]),
          })
          .where(eq(positions.id, row))
          .run()
    store.rows
      .update(instruments)
      .set({ measured: JSON.stringify([...new Set([...measured, key])]) })
      .where(eq(instruments.id, id))
      .run()
  })
}

function measuredOrRefused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, 'value')
  }
}
