/** Starts a worker that reads a file, and ends it. */
import { proxy, wrap } from 'comlink'
import type { FileRead, ImportApi, ImportKind, ImportKinds, Shown } from './import.worker'

export interface Importing<Kind extends ImportKind> {
  /** @throws Error with a sentence when the file can't be read */
  readonly read: (bytes: Uint8Array) => Promise<FileRead<Kind>>
  /** Anew for every choice of columns; told how many rows are through. */
  readonly carryOut: (
    mapping: ImportKinds[Kind]['mapping'],
    onProgress: (done: number) => void,
  ) => Promise<Shown<ImportKinds[Kind]['column'], ImportKinds[Kind]['taken']>>
  readonly end: () => void
}

/** @param given - what the file is read by: a chart, a time zone */
export function startImport<Kind extends ImportKind>(
  kind: Kind,
  given: ImportKinds[Kind]['given'],
): Importing<Kind> {
  const worker = new Worker(new URL('./import.worker.ts', import.meta.url), { type: 'module' })
  const api = wrap<ImportApi>(worker)
  return {
    read: (bytes) => api.read(kind, bytes) as Promise<FileRead<Kind>>,
    carryOut: (mapping, onProgress) =>
      api.carryOut(kind, mapping, given, proxy(onProgress)) as unknown as Promise<
        Shown<ImportKinds[Kind]['column'], ImportKinds[Kind]['taken']>
      >,
    end: () => worker.terminate(),
  }
}
