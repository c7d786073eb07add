/**
 * How fast the string field of 47 strings answers an arrow key, by the browser's own timing: from the key event to the
 * end of the frame that shows the next string. Part of `npm run bench`; needs the production build.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { prepare } from '@/data/demo/prepare'
import { CHROMIUM, DEMO_DATE, end, freePort, serve } from './serve'

const PRESSES = 120

async function main(): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-bench-'))
  prepare(folder, 'demo', DEMO_DATE)
  const port = await freePort()
  const server = await serve(port, folder)
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`http://127.0.0.1:${port}/instruments/lovage?string=1`, { waitUntil: 'networkidle' })
    const field = page.getByRole('slider', { name: 'String field of Lovage' })
    await field.focus()
    await page.evaluate(() => {
      const kept = window as unknown as { work: number[]; frame: number[] }
      kept.work = []
      kept.frame = []
      const watched = document.querySelector('[role=slider]') as HTMLElement
      let start = 0
      watched.addEventListener('keydown', (event) => { start = event.timeStamp }, { capture: true })
      new MutationObserver(() => {
        kept.work.push(performance.now() - start)
        requestAnimationFrame(() => { const painted = new MessageChannel(); painted.port1.onmessage = () => kept.frame.push(performance.now() - start); painted.port2.postMessage(null) })
      }).observe(watched, { attributes: true, attributeFilter: ['aria-valuenow'] })
    })
    for (let i = 0; i < PRESSES; i += 1) {
      await page.keyboard.press(i % 92 < 46 ? 'ArrowLeft' : 'ArrowRight')
      await page.waitForTimeout(25)
    }
    const { work, frame } = await page.evaluate(() => { const { work, frame } = window as unknown as { work: number[]; frame: number[] }; return { work, frame } })
    const at = (times: number[], share: number) => ([...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? Number.NaN).toFixed(1)
    console.log(`arrow key to changed page, ${work.length} presses: median ${at(work, 0.5)} ms, 95 % within ${at(work, 0.95)} ms`)
    console.log(`arrow key to painted frame, ${frame.length} presses: median ${at(frame, 0.5)} ms, 95 % within ${at(frame, 0.95)} ms`)
  } finally {
    await browser.close()
    await end(server, 'SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
}

void main()
