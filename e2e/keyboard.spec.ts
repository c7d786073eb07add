/** A broken string from first to last without a pointer: Tab, arrows, Space and Enter. */
import { expect, test } from './served'
import { tabTo } from './tab-to'

test('a string is found on its instrument, and its figures show their working', async ({ page }) => {
  await page.goto('/instruments/lovage')
  await page.keyboard.press('/')
  await page.keyboard.type('second F below the top red')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: '2nd-octave F' })).toBeVisible()
  await tabTo(page, page.getByRole('button', { name: 'Show the working: Tension' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Working: Tension' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Working: Tension' })).toHaveCount(0)
})

test('from Today to the logged fitting', async ({ page }) => {
  await page.goto('/')
  await tabTo(page, page.getByRole('link', { name: 'A string broke' }))
  await page.keyboard.press('Enter')
  await page.waitForURL('**/broke')

  await tabTo(page, page.getByRole('link', { name: /Lovage/ }))
  await page.keyboard.press('Enter')
  await page.waitForURL('**/broke/lovage**')

  // The box for its name is in focus.
  const box = page.getByRole('textbox', { name: 'Its name, number or colour' })
  await expect(box).toBeFocused()
  await page.keyboard.type('second F below the top red')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: '2nd-octave F' })).toBeVisible()
  await expect(page.getByRole('radio', { name: 'At the tuning pin hole' })).toBeVisible()
  const field = page.getByRole('slider', { name: 'String field of Lovage' })
  await tabTo(page, field)
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: '2nd-octave G' })).toBeVisible()

  await tabTo(page, page.getByRole('radio', { name: 'At the tuning pin hole' }))
  for (let i = 0; i < 2; i += 1) await page.keyboard.press('ArrowDown', { delay: 80 }) // as long as a finger rests on it
  await expect(page.getByRole('radio', { name: 'At the bridge pin' })).toBeChecked()
  await tabTo(page, page.getByRole('button', { name: 'Log the break' }))
  await page.keyboard.press('Enter')
  await page.waitForURL('**/coil')

  await tabTo(page, page.getByRole('button', { name: 'Cut from this' }).first())
  await page.keyboard.press('Enter')
  await page.waitForURL('**/figures')
  await tabTo(page, page.getByRole('link', { name: 'Start the fitting' }))
  await page.keyboard.press('Enter')
  await page.waitForURL('**/steps')

  const title = page.getByRole('heading', { level: 2 })
  await expect(title).toHaveText('Make ready')
  for (let before = ''; (before = await title.innerText()) !== 'Log it';) {
    await page.keyboard.press('Enter')
    await expect(title).not.toHaveText(before)
  }
  await expect(title).toHaveText('Log it')
  await page.keyboard.press('Enter')
  await page.waitForURL('**/log')
  await tabTo(page, page.getByRole('button', { name: 'Log the fitting' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
})

test('the focus is always to be seen, and the page can be read at twice its size', async ({ page }) => {
  await page.goto('/instruments/fennel?string=12')
  for (let presses = 0; presses < 16; presses += 1) {
    await page.keyboard.press('Tab')
    const outline = await page.evaluate(() => {
      const { outlineStyle, outlineWidth } = getComputedStyle(document.activeElement as Element)
      return outlineStyle === 'none' ? 0 : Number.parseFloat(outlineWidth)
    })
    expect(outline).toBeGreaterThanOrEqual(2)
  }
  await page.setViewportSize({ width: 640, height: 400 }) // 1280 by 800 at twice its size
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0)
})

test('controls are large enough for a thumb at the bench', async ({ page, request }) => {
  const broken = await request.post('/api/breaks', {
    data: { instrument: 'lovage', string: 18, site: 'wraps' },
  })
  const { jobId } = (await broken.json()) as { jobId: number }
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.goto(`/jobs/${jobId}/steps`)
  for (const name of ['Back', 'Done, go on']) {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox()
    expect(box!.height).toBeGreaterThanOrEqual(48)
    expect(box!.width).toBeGreaterThanOrEqual(48)
  }
})
