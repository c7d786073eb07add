/** The ear as a page has it: started when it is first needed, ended when it is put away. */
import { wrap, type Remote } from 'comlink'
import type { EarApi } from './ear.worker'

export interface EarWorker {
  readonly ear: Remote<EarApi>
  readonly end: () => void
}

export function startEar(): EarWorker {
  const worker = new Worker(new URL('./ear.worker.ts', import.meta.url), { type: 'module' })
  return { ear: wrap<EarApi>(worker), end: () => worker.terminate() }
}
