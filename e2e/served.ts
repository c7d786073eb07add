/** A test with the production build served over its own copy of the demo. */
import { test as base, expect } from '@playwright/test'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { end, freePort, serve } from '../scripts/serve'

export interface Served {
  readonly url: string
  /** Where its database is. */
  readonly folder: string
  /** Kills the server at once, as a dead battery would, and starts it again over the same data. */
  restart(): Promise<void>
  /** Kills it, and starts it again over the same data when what is done meanwhile is done. */
  away(meanwhile: () => Promise<void>): Promise<void>
}

export const test = base.extend<object, { served: Served; copy: string }>({
  /**
   * Files that name a copy of their own find the demo as it was laid out, whatever other files did to theirs; one
   * that begins with `empty` finds nothing.
   */
  copy: ['shared', { scope: 'worker', option: true }],
  served: [
    async ({ copy }, use) => {
      const folder = mkdtempSync(path.join(os.tmpdir(), `taut-served-${copy}-`))
      if (!copy.startsWith('empty')) cpSync(process.env.TAUT_E2E_DEMO as string, folder, { recursive: true })
      const port = await freePort()
      let server = await serve(port, folder)
      const away = async (meanwhile: () => Promise<void>) => {
        await end(server, 'SIGKILL')
        try {
          await meanwhile()
        } finally {
          server = await serve(port, folder)
        }
      }
      await use({
        folder,
        url: `http://127.0.0.1:${port}`,
        restart: () => away(async () => {}),
        away,
      })
      await end(server, 'SIGTERM')
      rmSync(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ served }, use) => use(served.url),
})

export { expect }
