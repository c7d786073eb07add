/** For tests: a store over a fresh copy of the demo before each one. */
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { openStore, type Store } from '../store/database'
import { prepare } from './prepare'

export const DEMO_DATE = '2026-11-24T10:00'

/**
 * @param given - takes each test's store
 * @param open - what else it is opened with
 * @returns the folders it works in: all of it, the demo as it was laid out, and the copy at hand
 */
export function eachOnDemo(
  given: (store: Store) => void,
  open: { readonly syncAtClose?: boolean } = {},
): { readonly folder: string; readonly demo: string; readonly work: string } {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-on-demo-'))
  const [demo, work] = [path.join(folder, 'demo'), path.join(folder, 'work')]
  let store: Store
  beforeAll(() => prepare(demo, 'demo', DEMO_DATE))
  beforeEach(() => {
    rmSync(work, { recursive: true, force: true })
    cpSync(demo, work, { recursive: true })
    store = openStore({ folder: work, demoDate: DEMO_DATE, ...open })
    given(store)
  })
  afterEach(() => store.close())
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  return { folder, demo, work }
}
