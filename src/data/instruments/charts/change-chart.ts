/**
 * Writes a changed chart: one action, every changed position journaled, so that it can be undone.
 */
import { eq } from 'drizzle-orm'
import { chartLine, withLine, type WholeLine } from '@/core/chart/chart-line'
import { cellsOf } from '@/core/chart/cells'
import type { StringPosition } from '@/core/instrument/instrument'
import { CHART_ERRORS, sectionsOf, type Measured } from '@/core/measuring/quantity'
import { outerGauge } from '@/core/strings/construction'
import type { Store } from '../../store/database'
import { positionRow, positionId, type StoredInstrument } from '../instruments'
import { Refusal } from '@/boundary/refusal'
import { instruments, positions } from '../../store/schema'
import { measuredJson } from '../measured-json'

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
      if (stored.chartMeasured !== null) keepWhatIsKnown(store, stored, changed, stored.chartMeasured)
    },
  )
  return { actionId, changed: changed.length }
}

/** What a chart tells of an instrument from a preset is known from then on, and no longer assumed. */
function keepWhatIsKnown(
  store: Store,
  { id, instrument }: StoredInstrument,
  changed: readonly WholeLine[],
  measured: readonly Measured[],
): void {
  const lines = new Map(changed.map((line) => [line.number, line]))
  const now = instrument.positions.map((p) => {
    const line = lines.get(p.number)
    return line ? drawn(p, line) : p
  })
  const isNew = (number: number, differs: (line: WholeLine, had: StringPosition) => boolean) => {
    const line = lines.get(number)
    const had = instrument.positions[number - 1]
    return line !== undefined && had !== undefined && differs(line, had)
  }
  const lengths = instrument.positions
    .filter(({ number }) => isNew(number, (line, had) => line.speakingLength !== had.speakingLength))
    .map(({ number }): Measured => ({ key: `speaking ${number}`, error: CHART_ERRORS.speaking }))
  // A section’s gauges are one quantity: it is known where the chart tells most of them.
  const gauges = sectionsOf(now)
    .filter(({ from, to }) => {
      const all = now.slice(from - 1, to)
      const told = all.filter(({ number }) =>
        isNew(number, (line, had) => outerGauge(line.construction) !== outerGauge(had.construction)),
      )
      return told.length > all.length / 2
    })
    .map(({ from }): Measured => ({ key: `gauge ${from}`, error: CHART_ERRORS.gauge }))
  const fresh = [...lengths, ...gauges]
  if (fresh.length === 0) return
  const again = new Set(fresh.map(({ key }) => key))
  store.rows
    .update(instruments)
    .set({ measured: measuredJson([...measured.filter(({ key }) => !again.has(key)), ...fresh]) })
    .where(eq(instruments.id, id))
    .run()
}

function drawn(position: Parameters<typeof withLine>[0], line: WholeLine) {
  try {
    return withLine(position, line)
  } catch (error) {
    throw new Refusal(400, (error as RangeError).message, `${line.number}.free`)
  }
}
