/**
 * The hardware of an instrument set right: how its strings are fastened and led, and what lies over what.
 */
import { eq, inArray } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { boardProblem } from '@/core/hardware/board-in-string'
import { hardwareCells, hardwareOf } from '@/core/hardware/cells'
import { HARDWARE_COLUMNS, type HardwareColumn, type HardwareLine } from '@/core/hardware/columns'
import { positionAt, type Covering } from '@/core/instrument/instrument'
import { layersOver } from '@/core/instrument/layers'
import type { Measured, QuantityKey } from '@/core/measuring/quantity'
import type { Done, Store } from '../store/database'
import { coverings, instruments, positions } from '../store/schema'
import { measuredJson } from './measured-json'
import { instrumentBySlug, positionId, positionRow } from './instruments'

/** A line with the columns of it that somebody looked at and found right. */
export interface HardwareChange {
  readonly line: HardwareLine
  readonly confirmed: readonly HardwareColumn[]
}

/**
 * Writes what was typed on the fittings sheet. What was typed is measured from now on, and so is what was confirmed.
 *
 * @returns the action's id, null when nothing differs
 * @throws Refusal 404 when the instrument has no such string
 */
export function changeHardware(
  store: Store,
  slug: string,
  changes: readonly HardwareChange[],
): { readonly actionId: number | null; readonly changed: number } {
  const stored = instrumentBySlug(store, slug)
  const { instrument, hardwareMeasured } = stored
  const written = changes.flatMap(({ line, confirmed }) => {
    const id = positionId(stored, line.number)
    const had = positionAt(instrument, line.number)
    const before = hardwareCells(hardwareOf(had), 'mm')
    const now = hardwareCells(line, 'mm')
    const problem = boardProblem({ ...had, ...line })
    if (problem && !boardProblem(had)) throw new Refusal(400, problem, `${line.number}.board`)
    const typed = HARDWARE_COLUMNS.filter((column) => before[column] !== now[column])
    const known = new Set([...(hardwareMeasured.get(line.number) ?? []), ...typed, ...confirmed])
    const measured = HARDWARE_COLUMNS.filter((column) => known.has(column))
    return typed.length === 0 && measured.length === (hardwareMeasured.get(line.number) ?? []).length
      ? []
      : [{ id, measured, position: { ...had, ...line, written: { ...had.written, ...line.written } } }]
  })
  if (written.length === 0) return { actionId: null, changed: 0 }
  const words = written.length === 1 ? `string ${written[0]?.position.number}` : `${written.length} strings`
  const { actionId } = store.act(
    {
      kind: 'chart',
      summary: `The hardware of ${instrument.name} set right at ${words}`,
      instrumentId: stored.id,
    },
    () => {
      for (const { id, measured, position } of written)
        store.rows
          .update(positions)
          .set({ ...positionRow(stored.id, position), hardwareMeasured: JSON.stringify(measured) })
          .where(eq(positions.id, id))
          .run()
      if (stored.chartMeasured !== null) keepWhatIsMeasured(store, stored.id, stored.chartMeasured)
    },
  )
  return { actionId, changed: written.length }
}

/** What is asked for once for the whole instrument. */
const WHOLE: readonly (readonly [HardwareColumn, QuantityKey])[] = [
  ['diameter', 'pin'],
  ['board', 'board'],
]

/** Once every string’s pin is measured, or every string's board, it is no longer asked for. */
function keepWhatIsMeasured(store: Store, id: number, measured: readonly Measured[]): void {
  const all = store.rows
    .select({ measured: positions.hardwareMeasured })
    .from(positions)
    .where(eq(positions.instrumentId, id))
    .all()
    .map((row) => JSON.parse(row.measured) as readonly HardwareColumn[])
  const whole = (column: HardwareColumn) => all.every((measured) => measured.includes(column))
  const fresh = WHOLE.flatMap(([column, key]): Measured[] =>
    whole(column) && !measured.some((one) => one.key === key) ? [{ key, error: null }] : [],
  )
  if (fresh.length > 0)
    store.rows
      .update(instruments)
      .set({ measured: measuredJson([...measured, ...fresh]) })
      .where(eq(instruments.id, id))
      .run()
}

/**
 * Says what lies over what, in place of what was said before.
 *
 * @throws Refusal 400 with a sentence when a string is not there, lies over itself, or the layers run in a circle
 */
export function changeLayers(store: Store, slug: string, layers: readonly Covering[]): Done<void> {
  const stored = instrumentBySlug(store, slug)
  const { instrument, positionIds } = stored
  const told = layers.filter(
    ({ over, under }, i) => layers.findIndex((other) => other.over === over && other.under === under) === i,
  )
  for (const { over, under } of told) {
    positionId(stored, over)
    positionId(stored, under)
    if (over === under) throw new Refusal(400, `String ${over} can’t lie over itself.`, 'layers')
  }
  try {
    for (const p of instrument.positions) layersOver({ ...instrument, coverings: told }, p)
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, 'layers')
  }
  const summary = `What lies over what on ${instrument.name} set right`
  return store.act({ kind: 'chart', summary, instrumentId: stored.id }, () => {
    const own = [...positionIds.values()]
    store.rows.delete(coverings).where(inArray(coverings.overId, own)).run()
    for (const { over, under } of told)
      store.rows
        .insert(coverings)
        .values({ overId: positionId(stored, over), underId: positionId(stored, under) })
        .run()
  })
}
