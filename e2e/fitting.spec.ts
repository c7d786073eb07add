/** Every instrument fitted from its first step to its last: on a laptop by the keyboard alone, on a phone by a page-turner alone. */
import type { APIRequestContext, Page } from '@playwright/test'
import { expect, test } from './served'

test.use({ copy: 'fitting' })

const STRINGS = [
  ['lovage', 12, 13],
  ['sorrel', 8, 9],
  ['fennel', 9, 10],
  ['chervil', 8, 9],
  ['bryony', 14, 15],
  ['teasel', 3, 5],
  ['bistort', 6, 8],
  ['borage', 5, 6],
  ['yarrow', 6, 3],
  ['orris', 3, 4],
] as const

async function breakString(
  request: APIRequestContext,
  instrument: string,
  string: number,
  site = 'mid-length',
): Promise<number> {
  const answer = await request.post('/api/breaks', { data: { instrument, string, site } })
  return ((await answer.json()) as { jobId: number }).jobId
}

/** Presses one key from step to step, and looks at each: a title, what right looks like, and a picture or a figure. */
async function throughSteps(page: Page, key: string): Promise<number> {
  const heading = page.locator('section[aria-live="polite"]').getByRole('heading', { level: 2 })
  const seen: string[] = []
  for (;;) {
    const title = (await heading.textContent()) ?? ''
    seen.push(title)
    await expect(page.getByText('Looks right')).toBeVisible()
    await expect(
      page
        .locator(
          'section[aria-live="polite"] svg[role="img"], section[aria-live="polite"] figure, section[aria-live="polite"] .plate-figure',
        )
        .filter({ visible: true })
        .first(),
    ).toBeVisible()
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0)
    await page.keyboard.press(key)
    if (title === 'Log it') break
    await expect(heading).not.toHaveText(title)
  }
  expect(new Set(seen).size).toBe(seen.length)
  return seen.length
}

/** Moves the focus on until it stands on a control with such a name. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 80; i += 1) {
    await page.keyboard.press('Tab')
    if (name.test(await page.evaluate(() => document.activeElement?.textContent ?? ''))) return
  }
  throw new Error(`expected to reach ${name} with the Tab key`)
}

for (const [slug, string] of STRINGS) {
  test(`${slug}, by the keyboard alone`, async ({ page, request }) => {
    await page.goto(`/jobs/${await breakString(request, slug, string)}/coil`)
    await tabTo(page, /^Cut from this$/)
    await page.keyboard.press('Enter')
    await page.waitForURL('**/figures')
    await tabTo(page, /^Start the fitting$/)
    await page.keyboard.press('Enter')
    await page.waitForURL('**/steps')
    expect(await throughSteps(page, 'Space')).toBeGreaterThanOrEqual(10)
    await page.waitForURL('**/log')
    await tabTo(page, /^Log the fitting$/)
    await page.keyboard.press('Enter')
    await page.waitForURL('**/done')
    await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
  })
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })
  for (const [slug, , string] of STRINGS) {
    test(`${slug}, by a page-turner alone`, async ({ page, request }) => {
      await page.goto(`/jobs/${await breakString(request, slug, string)}/coil`)
      await expect(page.getByRole('button', { name: 'Cut from this' }).first()).toBeVisible()
      await page.keyboard.press('PageDown')
      await page.waitForURL('**/figures')
      await expect(page.getByRole('link', { name: 'Start the fitting' })).toBeVisible()
      await page.keyboard.press('PageDown')
      await page.waitForURL('**/steps')
      await throughSteps(page, 'PageDown')
      await page.waitForURL('**/log')
      await expect(page.getByRole('button', { name: 'Log the fitting' })).toBeVisible()
      await page.keyboard.press('PageDown')
      await page.waitForURL('**/done')
    })
  }
})

test('the old knot is pictured before it comes off, and seen again where it is tied anew', async ({
  page,
  request,
}) => {
  const jobId = await breakString(request, 'lovage', 30)
  await request.post(`/api/jobs/${jobId}/in-hand`, { data: { unit: 'mm' } })
  await page.goto(`/jobs/${jobId}/steps`)
  const all = page.getByRole('list', { name: 'All steps' })
  await all.getByRole('button', { name: 'Take off the old string' }).click()
  await page.getByLabel('The old knot').setInputFiles({
    name: 'knot.png',
    mimeType: 'image/png',
    buffer: await page.screenshot({ scale: 'css' }),
  })
  await expect(page.getByText('The picture is kept.')).toBeVisible()
  await all.getByRole('button', { name: 'Tie' }).first().click()
  await expect(page.getByText('As it was')).toBeVisible()
  await expect(page.getByRole('img', { name: 'Old knot' })).toHaveJSProperty('complete', true)
  await page.getByRole('button', { name: 'Throw away: Old knot' }).click()
  await expect(page.getByText('As it was')).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('As it was')).toBeVisible()
})
