/**
 * From the key to the paint, by the browser's own timing: typing in the chart sheet and an arrow on the field, with the
 * processor as it is and slowed four times. Part of `npm run bench:large`.
 */
import type { Page } from '@playwright/test'
import { onDemo } from './on-demo'
import { writeTable } from './write-table'

const PRESSES = 40

/** Presses keys and takes the time until the next paint of each, ms. */
async function pressed(page: Page, key: (i: number) => string): Promise<readonly number[]> {
  await page.evaluate(() => {
    const kept = window as unknown as { paints: number[]; isWatched?: boolean }
    kept.paints = []
    if (kept.isWatched) return
    kept.isWatched = true
    window.addEventListener(
      'keydown',
      ({ timeStamp }) => {
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => kept.paints.push(performance.now() - timeStamp)
          channel.port2.postMessage(null)
        })
      },
      { capture: true },
    )
  })
  for (let i = 0; i < PRESSES; i += 1) {
    await page.keyboard.press(key(i))
    await page.waitForTimeout(90)
  }
  return page.evaluate(() => (window as unknown as { paints: number[] }).paints)
}

const share = (times: readonly number[], at: number) =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * at)] ?? Number.NaN

void onDemo(async (browser, home) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const session = await page.context().newCDPSession(page)
  const rows: string[] = []
  for (const rate of [1, 4]) {
    await session.send('Emulation.setCPUThrottlingRate', { rate })
    await page.goto(`${home}/instruments/lovage/chart`, { waitUntil: 'networkidle' })
    await page.locator('#line-20 input[data-column="0"]').click()
    const typed = await pressed(page, (i) => String(i % 10))
    await page.goto(`${home}/instruments/lovage?string=1`, { waitUntil: 'networkidle' })
    await page.getByRole('slider', { name: 'String field of Lovage' }).focus()
    const arrows = await pressed(page, (i) => (i % 92 < 46 ? 'ArrowLeft' : 'ArrowRight'))
    for (const [what, times] of [
      ['typing in the chart of 47 strings', typed],
      ['an arrow on its field', arrows],
    ] as const)
      rows.push(
        `| ${what} | ${rate} × | ${share(times, 0.5).toFixed(0)} | ${share(times, 0.95).toFixed(0)} |`,
      )
  }
  writeTable('hands', ['| key | slowed | median, ms | 95 % within, ms |', '|---|---:|---:|---:|', ...rows])
})
