/**
 * How fast the winding bench follows a drag: from the pointer's move to the changed figure in the page. Part of
 * `npm run bench`; needs the production build.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { prepare } from '@/data/demo/prepare'
import { CHROMIUM, DEMO_DATE, end, freePort, serve } from './serve'

const MOVES = 120

async function main(): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-bench-'))
  prepare(folder, 'demo', DEMO_DATE)
  const port = await freePort()
  const server = await serve(port, folder)
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`http://127.0.0.1:${port}/instruments/lovage/bench?string=22`, { waitUntil: 'networkidle' })
    await page.evaluate(() => {
      const kept = window as unknown as { worked: number[] }
      kept.worked = []
      let start = 0
      window.addEventListener('pointermove', (event) => { start = event.timeStamp }, { capture: true })
      const watched = document.querySelector('[aria-label="What it comes to"]') as HTMLElement
      new MutationObserver(() => kept.worked.push(performance.now() - start)).observe(watched, { subtree: true, characterData: true, childList: true })
    })
    for (const name of ['slack', 'key', 'tail']) {
      await page.evaluate(() => { (window as unknown as { worked: number[] }).worked.length = 0 })
      const box = await page.locator(`[data-handle="${name}"]`).boundingBox()
      if (!box) throw new Error(`expected the handle “${name}” on the bench`)
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
      await page.mouse.move(x, y)
      await page.mouse.down()
      for (let i = 0; i < MOVES; i += 1) {
        await page.mouse.move(x + (name === 'slack' ? 0 : 24 * Math.sin(i / 9)), y + (name === 'tail' ? 0 : 24 * Math.sin(i / 9)))
        await page.waitForTimeout(20)
      }
      await page.mouse.up()
      const worked = await page.evaluate(() => (window as unknown as { worked: number[] }).worked)
      const at = (share: number) => ([...worked].sort((a, b) => a - b)[Math.floor(worked.length * share)] ?? Number.NaN).toFixed(1)
      console.log(`dragging the ${name}: pointer to changed figures, ${worked.length} changes: median ${at(0.5)} ms, 95 % within ${at(0.95)} ms`)
    }
  } finally {
    await browser.close()
    await end(server, 'SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
}

void main()
