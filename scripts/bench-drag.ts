/**
 * How fast the winding bench follows a drag: from the pointer's move to the changed figure in the page. Part of
 * `npm run bench`; needs the production build.
 */
import { requireValue } from '@/core/list/require-value'
import { onDemo } from './on-demo'

const MOVES = 120

void onDemo(async (browser, home) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${home}/instruments/lovage/bench?string=22`, { waitUntil: 'networkidle' })
  await page.evaluate(() => {
    const kept = window as unknown as { worked: number[] }
    kept.worked = []
    let start = 0
    window.addEventListener(
      'pointermove',
      (event) => {
        start = event.timeStamp
      },
      { capture: true },
    )
    const watched = requireValue(document.querySelector('[aria-label="What it comes to"]'))
    new MutationObserver(() => kept.worked.push(performance.now() - start)).observe(watched, {
      subtree: true,
      characterData: true,
      childList: true,
    })
  })
  for (const name of ['slack', 'key', 'tail']) {
    await page.evaluate(() => {
      ;(window as unknown as { worked: number[] }).worked.length = 0
    })
    const box = await page.locator(`[data-handle="${name}"]`).boundingBox()
    if (!box) throw new Error(`expected the handle “${name}” on the bench`)
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    await page.mouse.move(x, y)
    await page.mouse.down()
    for (let i = 0; i < MOVES; i += 1) {
      await page.mouse.move(
        x + (name === 'slack' ? 0 : 24 * Math.sin(i / 9)),
        y + (name === 'tail' ? 0 : 24 * Math.sin(i / 9)),
      )
      await page.waitForTimeout(20)
    }
    await page.mouse.up()
    const worked = await page.evaluate(() => (window as unknown as { worked: number[] }).worked)
    const at = (share: number) =>
      ([...worked].sort((a, b) => a - b)[Math.floor(worked.length * share)] ?? Number.NaN).toFixed(1)
    console.log(
      `dragging the ${name}: pointer to changed figures, ${worked.length} changes: median ${at(0.5)} ms, 95 % within ${at(0.95)} ms`,
    )
  }
})
