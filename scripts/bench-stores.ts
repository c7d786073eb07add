/**
 * How soon a shelf of 2,000 coils answers a letter typed or a click on a heading, in a real browser: `npm run bench`.
 */
import type { Page } from '@playwright/test'
import { seeded } from '@/core/random/seeded'
import { addCoil } from '@/data/stores/coils'
import type { Store } from '@/data/store/database'
import { onDemo } from './on-demo'

const COILS = 2000

/** Longest delay from an input to the next paint while something is done, by the browser's Event Timing, ms. */
async function slowest(page: Page, act: () => Promise<void>): Promise<number> {
  await page.evaluate(() => {
    const held = window as unknown as { slow: number }
    held.slow = 0
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) held.slow = Math.max(held.slow, entry.duration)
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
  })
  await act()
  await page.waitForTimeout(400)
  return page.evaluate(() => (window as unknown as { slow: number }).slow)
}

/** Books in as many coils as a large workshop has. */
function fill(store: Store): void {
  const random = seeded(2)
  store.act({ kind: 'stores', summary: 'Many coils booked in' }, () => {
    for (let i = 0; i < COILS; i += 1) {
      addCoil(store, {
        label: `Packet ${1000 + i}`,
        construction: {
          kind: 'plain',
          material: random() < 0.5 ? 'gut' : 'nylon 6.12',
          gauge: Math.round(50 + 200 * random()) / 1e5,
        },
        colour: 'natural',
        tensionClass: 'concert',
        maker: 'Fold & Fell',
        line: 'Amber twist',
        place: `Drawer ${Math.floor(20 * random())}`,
        boughtAt: store.now(),
        boughtLength: 1 + random(),
      })
    }
  })
}

void onDemo(async (browser, home) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${home}/stores`)
  await page.waitForLoadState('networkidle')
  const box = page.getByRole('textbox', { name: 'Look for' })
  await box.click()
  const typing = await slowest(page, () => box.pressSequentially('gut 1.2', { delay: 60 }))
  await box.fill('')
  const sorting = await slowest(page, async () => {
    for (const name of ['Gauge', 'Left', 'Bought'])
      await page.getByRole('columnheader', { name }).getByRole('button').click()
  })
  console.log(
    `${COILS} coils: a letter typed is painted within ${typing} ms at the slowest, a heading clicked within ${sorting} ms`,
  )
}, fill)
