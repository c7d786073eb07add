/** A job of every family, opened once at its first step, is walked to its end while the house is away. */
import type { Page } from '@playwright/test'
import { keptPages } from './kept-pages'
import { expect, test } from './served'

test.use({ copy: 'away-walk', viewport: { width: 390, height: 844 } })

const JOBS = [
  ['lovage', 30],
  ['lovage', 2],
  ['sorrel', 12],
  ['borage', 9],
  ['chervil', 8],
  ['bryony', 14],
  ['fennel', 7],
  ['bistort', 5],
  ['teasel', 3],
  ['orris', 2],
  ['yarrow', 6],
] as const

const heading = (page: Page) => page.locator('section[aria-live="polite"]').getByRole('heading', { level: 2 })

for (const [slug, string] of JOBS)
  test(`${slug}, string ${string}`, async ({ page, request, served }) => {
    const failed: string[] = []
    page.on('pageerror', (error) => failed.push(error.message))
    const broken = await request.post('/api/breaks', {
      data: { instrument: slug, string, site: 'mid-length' },
    })
    const { jobId } = (await broken.json()) as { jobId: number }
    expect((await request.post(`/api/jobs/${jobId}/in-hand`, { data: { unit: 'mm' } })).status()).toBe(200)
    const steps = `/jobs/${jobId}/steps`
    await page.goto(steps)
    await expect.poll(() => keptPages(page)).toContain(steps)
    await served.away(async () => {
      // The phone wanted its memory: nothing that the page had fetched is left in it.
      await page.goto('about:blank')
      await page.goto(steps)
      const seen: string[] = []
      for (;;) {
        const title = (await heading(page).textContent()) ?? ''
        seen.push(title)
        const drawing = page.locator('section[aria-live="polite"]').locator('svg[role="img"], canvas, figure')
        if (title !== 'Log it') await expect(drawing.first(), title).toBeVisible()
        await expect(page.getByText(/^Loading|is being drawn/), title).toHaveCount(0)
        for (const font of await missingFonts(page)) failed.push(`${title}: ${font}`)
        if (seen.length === 4) {
          await page.reload()
          await expect(heading(page)).toHaveText(title)
        }
        await page.keyboard.press('PageDown')
        if (title === 'Log it') break
        await expect(heading(page)).not.toHaveText(title)
      }
      expect(seen.length).toBeGreaterThanOrEqual(10)
      const bar = page.getByRole('status', { name: 'What waits for the house' })
      await expect(page).toHaveURL(`/jobs/${jobId}/log`)
      await expect(bar).toContainText(`${seen.length} things wait here`)
      const cut = page.getByLabel('Cut from the coil')
      await cut.fill('612')
      await page.reload()
      await expect(cut).toHaveValue('612')
      await page.getByRole('button', { name: 'Log the fitting' }).click()
      await expect(page.getByText('The log is saved on this device.')).toBeVisible()
      await expect(bar).toContainText(`${seen.length + 1} things wait here`)
    })
    // It is sent by itself, once the workshop answers again.
    await expect(page).toHaveURL(`/jobs/${jobId}/done`, { timeout: 30_000 })
    expect(failed).toEqual([])
  })

/** Faces that what stands on the page asks for and that could not be loaded. */
function missingFonts(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    await document.fonts.ready
    return [...document.fonts]
      .filter(({ status }) => status === 'error')
      .map((f) => `${f.family} ${f.weight}`)
  })
}
