/**
 * Writes a changed chart: one action, every changed position journaled, so that it can be undone.
 */
import { eq } from 'drizzle-orm'
import { chartLine, withLine, type WholeLine } from '@/core/chart/chart-line'
import { cellsOf } from '@/core/chart/cells'
import type { Store } from '../../store/database'
import { positionRow, positionId, type StoredInstrument } from '../instruments'
import { Refusal } from '@/boundary/refusal'
import { positions } from '../../store/schema'

/**
 * @param store - open
 * @param stored - the instrument as it is
 * @param lines - the lines to change; those left out stay
 * @returns the action's id, or null when nothing differs
 * @throws Refusal 404 or 400 with a sentence when a line is of no string here or can't be drawn
 */
export function changeChart(
  store: Store,
  stored: StoredInstrument,
  lines: readonly WholeLine[],
): { readonly actionId: number | null; readonly changed: number } {
  const byNumber = new Map(stored.instrument.positions.map((p) => [p.number, p]))
  const changed = lines.filter((line) => {
    positionId(stored, line.number)
    const had = byNumber.get(line.number)
    return (
      had !== undefined &&
      JSON.stringify(cellsOf(chartLine(had), 'mm')) !== JSON.stringify(cellsOf(line, 'mm'))
    )
  })
  if (changed.length === 0) return { actionId: null, changed: 0 }
  const words = changed.length === 1 ? `string ${changed[0]?.number}` : `${changed.length} strings`
  const { actionId } = store.act(
    {
      kind: 'chart',
      summary: `The chart of ${stored.instrument.name} changed at ${words}`,
      instrumentId: stored.id,
    },
    () => {
      for (const line of changed) {
        const position = byNumber.get(line.number)
        if (!position) continue
        store.rows
          .update(positions)
          .set(positionRow(stored.id, drawn(position, line)))
          .where(eq(positions.id, positionId(stored, line.number)))
          .run()
      }
    },
  )
  return { actionId, changed: changed.length }
}

function drawn(position: Parameters<typeof withLine>[0], line: WholeLine) {
  try {
    return withLine(position, line)
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, `${line.number}.free`)
  }
}
