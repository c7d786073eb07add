/**
 * Starts a rebuilding in a worker, and stops it.
 */
import { proxy, wrap } from 'comlink'
import type { ChartLine } from '@/core/chart/chart-line'
import type { KnownWell } from '@/core/chart/propose'
import type { RebuildAnswer, RebuildApi } from './rebuild.worker'

export interface Rebuilding {
  /** Never settles once it is stopped. */
  readonly answer: Promise<RebuildAnswer>
  readonly stop: () => void
}

/**
 * @param lines - the chart as far as it is known
 * @param referenceA - Hz
 * @param options - how well the gauges are known, and the usual tension
 * @param onProgress - told how many of the strings are reckoned
 */
export function startRebuilding(
  lines: readonly ChartLine[],
  referenceA: number,
  options: KnownWell,
  onProgress: (done: number, of: number) => void,
): Rebuilding {
  const worker = new Worker(new URL('./rebuild.worker.ts', import.meta.url), { type: 'module' })
  const answer = wrap<RebuildApi>(worker)
    .propose(lines, referenceA, options, proxy(onProgress))
    .finally(() => worker.terminate())
  return { answer, stop: () => worker.terminate() }
}
