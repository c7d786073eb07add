/**
 * Serves the production build over a data folder, for tests, pictures and benchmarks.
 */
import { spawn, type ChildProcess } from 'node:child_process'
import { openSync } from 'node:fs'
import { createServer } from 'node:net'
import path from 'node:path'
import { requireValue } from '@/core/list/require-value'

/** What Chromium is started with where there is no display and no network. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

/** The day the demo is laid out for. */
export const DEMO_DATE = '2026-11-24T10:00'

/** A port that nothing listens on. */
export async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })
}

/** Starts a server and waits until it answers. */
export async function serve(port: number, folder: string): Promise<ChildProcess> {
  const log = process.env.TAUT_SERVER_LOG
  const server = spawn(path.resolve('bin', 'serve'), [String(port)], {
    env: { ...process.env, TAUT_DATA: folder, TAUT_DEMO_DATE: DEMO_DATE, NEXT_TELEMETRY_DISABLED: '1' },
    // What ails a page stands here, where somebody wants to know: `TAUT_SERVER_LOG=/tmp/log npm run worlds`.
    stdio: log ? ['ignore', openSync(log, 'a'), openSync(log, 'a')] : 'ignore',
    detached: true,
  })
  for (let tries = 0; tries < 300; tries += 1) {
    const up = await fetch(`http://127.0.0.1:${port}/house`).then(
      (r) => r.ok,
      () => false,
    )
    if (up) return server
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not come up')
}

/** Ends a server with the processes it started. */
export async function end(server: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  const gone = new Promise((resolve) => server.once('exit', resolve))
  process.kill(-requireValue(server.pid), signal)
  await gone
}
