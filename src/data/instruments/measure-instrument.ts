/**
 * Something measured on an instrument that came from a preset.
 */
import { eq } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import type { HardwareColumn } from '@/core/hardware/columns'
import type { Instrument } from '@/core/instrument/instrument'
import type { Measured, QuantityKey } from '@/core/measuring/quantity'
import { takeLengths, type ReadLength } from '@/core/measuring/take-lengths'
import { takeMeasure } from '@/core/measuring/take-measure'
import type { LengthColumn } from '@/core/strings/written-lengths'
import type { Done, Store } from '../store/database'
import { instruments, positions } from '../store/schema'
import { measuredJson } from './measured-json'
import { instrumentBySlug, positionId, positionRow, type StoredInstrument } from './instruments'

/** What is measured here of the hardware holds for every string. */
const COLUMN_OF: Partial<Record<QuantityKey, HardwareColumn>> = { pin: 'diameter', board: 'board' }

/**
 * Takes a measured value over, with what follows from it for what is still assumed.
 *
 * @param value - m
 * @param text - as it was typed, with its unit; null where that is a decimal of millimetres
 * @throws Refusal 409 where the chart came whole, 400 when the value can't be
 */
export function measureInstrument(
  store: Store,
  slug: string,
  key: QuantityKey,
  value: number,
  text: string | null = null,
): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { id, instrument, positionIds, hardwareMeasured } = stored
  const measured = assumedOf(stored)
  const reckoned = measuredOrRefused(() => takeMeasure(instrument, measured, key, value))
  const after = text === null ? reckoned : withText(reckoned, key, text)
  const summary = `${instrument.name} measured: ${key}`
  return store.act({ kind: 'chart', summary, instrumentId: id }, () => {
    writePositions(store, stored, after)
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
      .set({ measured: measuredJson([...measured, { key, error: null }]) })
      .where(eq(instruments.id, id))
      .run()
  })
}

/**
 * Takes lengths over that a picture told, each with its own error.
 *
 * @param readings - m
 * @param replaced - strings of which the reading counts beside what the chart says, by number
 * @throws Refusal 409 where the chart came whole, 400 when a reading can’t be
 */
export function measureByPicture(
  store: Store,
  slug: string,
  readings: readonly ReadLength[],
  replaced: readonly number[] = [],
): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { id, instrument } = stored
  const after = measuredOrRefused(() => takeLengths(instrument, assumedOf(stored), readings, replaced))
  const summary = `${instrument.name} measured on a picture: ${readings.length === 1 ? 'one length' : `${readings.length} lengths`}`
  return store.act({ kind: 'chart', summary, instrumentId: id }, () => {
    writePositions(store, stored, after.instrument)
    store.rows
      .update(instruments)
      .set({ measured: measuredJson(after.measured) })
      .where(eq(instruments.id, id))
      .run()
  })
}

/** The instrument with what was typed beside the metres that it says. What hangs over the head follows from them, and has no words. */
function withText(instrument: Instrument, key: QuantityKey, text: string): Instrument {
  const [, what, number] = /^(speaking|gauge) (\d+)$/.exec(key) ?? []
  const column = what === undefined ? COLUMN_OF[key] : (what as LengthColumn)
  if (column === undefined) return instrument
  return {
    ...instrument,
    positions: instrument.positions.map((p) =>
      number === undefined || p.number === Number(number)
        ? { ...p, written: { ...p.written, [column]: text } }
        : p,
    ),
  }
}

/** What is measured of an instrument that is assumed otherwise. */
function assumedOf({ instrument, chartMeasured }: StoredInstrument): readonly Measured[] {
  if (chartMeasured === null)
    throw new Refusal(409, `The chart of ${instrument.name} came whole: set it right there.`)
  return chartMeasured
}

/** Writes the positions that came out otherwise. */
function writePositions(store: Store, stored: StoredInstrument, after: Instrument): void {
  for (const [i, position] of after.positions.entries())
    if (position !== stored.instrument.positions[i])
      store.rows
        .update(positions)
        .set(positionRow(stored.id, position))
        .where(eq(positions.id, positionId(stored, position.number)))
        .run()
}

function measuredOrRefused<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, 'value')
  }
}
