/** A test with the production build served over its own copy of the demo. */
import { test as base, expect } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { DEMO_DATE } from './lay-out-demo'

export interface Served {
  readonly url: string
  /** Kills the server at once, as a dead battery would, and starts it again over the same data. */
  restart(): Promise<void>
}

async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })
}

async function serve(port: number, folder: string): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)], {
    env: { ...process.env, TAUT_DATA: folder, TAUT_DEMO_DATE: DEMO_DATE, NEXT_TELEMETRY_DISABLED: '1' }, stdio: 'ignore', detached: true,
  })
  for (let tries = 0; tries < 200; tries += 1) {
    const up = await fetch(`http://127.0.0.1:${port}/house`).then((r) => r.ok, () => false)
    if (up) return server
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not come up')
}

async function end(server: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  const gone = new Promise((resolve) => server.once('exit', resolve))
  process.kill(-(server.pid as number), signal)
  await gone
}

export const test = base.extend<object, { served: Served }>({
  served: [async ({}, use) => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-served-'))
    cpSync(process.env.TAUT_E2E_DEMO as string, folder, { recursive: true })
    const port = await freePort()
    let server = await serve(port, folder)
    await use({
      url: `http://127.0.0.1:${port}`,
      restart: async () => {
        await end(server, 'SIGKILL')
        server = await serve(port, folder)
      },
    })
    await end(server, 'SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }, { scope: 'worker' }],
  baseURL: async ({ served }, use) => use(served.url),
})

export { expect }
