import { expect, test } from './served'

/** What a phone fetches before Today answers to a hand, bytes as they are sent. */
const MAX_SCRIPT_BYTES = 150_000

test('Today fetches few scripts, and what is only seldom wanted comes when it is', async ({ page }) => {
  const answer = await page.request.get('/')
  expect(answer.status()).toBe(200)
  const html = await answer.text()
  await page.goto('/', { waitUntil: 'networkidle' })
  const sizes = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name, encodedBodySize }) => [new URL(name).pathname, encodedBodySize] as const),
  )
  // Links fetch ahead what they lead to; that is not waited for.
  const first = sizes.filter(([path]) => html.includes(path)).map(([, size]) => size)
  const all = first.reduce((sum, size) => sum + size, 0)
  expect(all).toBeGreaterThan(100_000)
  expect(all).toBeLessThanOrEqual(MAX_SCRIPT_BYTES)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toBeVisible()
})
