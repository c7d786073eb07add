/**
 * How fast the string field of 47 strings answers an arrow key, by the browser's own timing: from the key event to the
 * next paint, which shows the next string. Part of `npm run bench`; needs the production build.
 */
import { requireValue } from '@/core/list/require-value'
import { onDemo } from './on-demo'

const PRESSES = 120

void onDemo(async (browser, home) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${home}/instruments/lovage?string=1`, { waitUntil: 'networkidle' })
  const field = page.getByRole('slider', { name: 'String field of Lovage' })
  await field.focus()
  await page.evaluate(() => {
    const kept = window as unknown as { shown: number[]; worked: number[] }
    kept.shown = []
    kept.worked = []
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as PerformanceEventTiming[]) {
        if (entry.name === 'keydown') kept.shown.push(entry.duration)
      }
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
    const watched = requireValue(document.querySelector('[role=slider]'))
    let start = 0
    watched.addEventListener(
      'keydown',
      (event) => {
        start = event.timeStamp
      },
      { capture: true },
    )
    new MutationObserver(() => kept.worked.push(performance.now() - start)).observe(watched, {
      attributes: true,
      attributeFilter: ['aria-valuenow'],
    })
  })
  for (let i = 0; i < PRESSES; i += 1) {
    await page.keyboard.press(i % 92 < 46 ? 'ArrowLeft' : 'ArrowRight')
    await page.waitForTimeout(60)
  }
  await page.waitForTimeout(500)
  const { shown, worked } = await page.evaluate(() => {
    const { shown, worked } = window as unknown as { shown: number[]; worked: number[] }
    return { shown, worked }
  })
  const at = (times: number[], share: number) =>
    ([...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? Number.NaN).toFixed(1)
  const within = (ms: number) => worked.length - shown.filter((duration) => duration > ms).length
  console.log(
    `arrow key to changed page, ${worked.length} presses: median ${at(worked, 0.5)} ms, 95 % within ${at(worked, 0.95)} ms`,
  )
  console.log(
    `arrow key to next paint (event timing, in steps of 8 ms): ${within(16)} within 16 ms, ${within(24)} within 24 ms, ${within(32)} within 32 ms of ${worked.length}`,
  )
})
