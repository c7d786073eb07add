/**
 * The rebuilding of a chart, off the main thread.
 */
import { expose } from 'comlink'
import type { ChartLine } from '@/core/chart/chart-line'
import { proposeChart, type KnownWell } from '@/core/chart/propose'

export type RebuildAnswer =
  | { readonly ok: true; readonly proposal: NonNullable<ReturnType<typeof proposeChart>> }
  | { readonly ok: false; readonly sentence: string }

const api = {
  /** Proposes a chart; `onProgress` is told how many strings are reckoned. */
  propose(
    lines: readonly ChartLine[],
    referenceA: number,
    options: KnownWell,
    onProgress: (done: number, of: number) => void,
  ): RebuildAnswer {
    try {
      const proposal = proposeChart(lines, referenceA, {
        ...options,
        progress: (done, of) => {
          onProgress(done, of)
          return true
        },
      })
      return proposal ? { ok: true, proposal } : { ok: false, sentence: 'It was stopped.' }
    } catch (problem) {
      if (problem instanceof RangeError) return { ok: false, sentence: problem.message }
      throw problem
    }
  },
}

export type RebuildApi = typeof api

expose(api)
