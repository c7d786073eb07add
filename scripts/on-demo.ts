/**
 * A browser's page over a fresh copy of the demo, served by the production build; both are gone afterwards.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium, type Browser } from '@playwright/test'
import { openStore, type Store } from '@/data/store/database'
import { prepare } from '@/data/demo/prepare'
import { CHROMIUM, DEMO_DATE, end, freePort, serve } from './serve'

/**
 * @param work - is given the browser and the address of the demo
 * @param fill - puts more into it first
 */
export async function onDemo(
  work: (browser: Browser, home: string) => Promise<void>,
  fill?: (store: Store) => void,
): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-demo-'))
  prepare(folder, 'demo', DEMO_DATE)
  if (fill) {
    const store = openStore({ folder, demoDate: DEMO_DATE })
    fill(store)
    store.close()
  }
  const port = await freePort()
  const server = await serve(port, folder)
  const browser = await chromium.launch(CHROMIUM)
  try {
    await work(browser, `http://127.0.0.1:${port}`)
  } finally {
    await browser.close()
    await end(server, 'SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
}
