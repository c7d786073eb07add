/** On a phone and by the keyboard alone: finding, charting, buying; and what leaves the printer. */
import { expect, test } from './served'

test.use({ viewport: { width: 390, height: 844 }, copy: 'phone' })
test.describe.configure({ mode: 'serial' })

test('a string is named, found and identified with a thumb', async ({ page }) => {
  await page.goto('/instruments/chervil/which')
  await page
    .getByRole('button', { name: 'Red' })
    .tap()
    .catch(() => page.getByRole('button', { name: 'Red' }).click())
  await expect(page.getByRole('list', { name: 'Clues given' })).toContainText('red')
  await page.getByRole('button', { name: 'Glassy, no grain' }).click()
  await page.getByRole('button', { name: 'Thin', exact: true }).click()
  const ranking = page.getByRole('list', { name: 'Ranking' }).getByRole('listitem')
  await expect(ranking.first()).toContainText(/octave C/)
  await page.getByRole('button', { name: 'Red' }).click()
  await expect(page.getByRole('list', { name: 'Clues given' })).not.toContainText('red')
})

test('the chart can be typed in and scrolled sideways without the page moving', async ({ page }) => {
  await page.goto('/instruments/borage/chart')
  const free = page.getByRole('textbox', { name: 'Free of string 9', exact: true })
  await free.fill('300')
  await expect(
    page.getByText(
      'The free length runs from end knot to tuning pin and must be longer than the speaking length.',
    ),
  ).toBeVisible()
  await expect(free).toHaveAttribute('aria-invalid', 'true')
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0)
  await page.getByRole('button', { name: 'Put back' }).click()
  await expect(free).toHaveAttribute('aria-invalid', 'false')
})

test('the list is filled, planned and written as orders by the keyboard alone', async ({ page }) => {
  await page.goto('/orders')
  await page.getByText(/^\d+ suggestions? for stock$/).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /^Put all/ }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/entries of the list/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Put all/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Plan the buying' }).focus()
  await page.keyboard.press('Space')
  const write = page.getByRole('button', { name: /^Write th/ }).first()
  await write.waitFor({ timeout: 30_000 })
  await write.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/written/).first()).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Coming' })).toBeVisible()
})

test('a date that nobody can meet says which string, and the soonest that it could come', async ({
  page,
}) => {
  for (const [slug, days] of [
    ['gannet-street', '40'],
    ['weir-and-wharf', '41'],
    ['post-barrow', '42'],
  ] as const) {
    await page.goto(`/orders/suppliers/${slug}`)
    await page.getByRole('textbox', { name: 'Days until it is here' }).fill(days)
    await page.getByRole('button', { name: 'Keep the terms' }).click()
    await expect(page.getByText('The terms are kept.')).toBeVisible()
  }
  await page.goto('/orders')
  const orders = page.getByRole('region', { name: 'Orders', exact: true })
  for (const link of await orders.getByRole('link').all())
    expect(await link.textContent()).toContain('to send')
  await orders.getByRole('link').first().click()
  await page.getByRole('button', { name: 'Give the order up' }).click()
  await expect(page.getByText('is given up.')).toBeVisible()
  await page.goto('/orders')
  await page.getByRole('button', { name: 'Plan the buying' }).click()
  await expect(page.getByText(/nobody can send it in time; the soonest is/).first()).toBeVisible({
    timeout: 30_000,
  })
  await expect(page.getByRole('button', { name: /^Write th/ })).toHaveCount(0)
})

test('an order and a sheet of labels print without the buttons and the places', async ({ page }) => {
  await page.goto('/orders')
  await page.getByRole('region', { name: 'Orders', exact: true }).getByRole('link').first().click()
  await page.waitForURL(/orders\/\d+$/)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(page.getByRole('region', { name: /^Order \d+/ })).toContainText('octaves counted E to F')
  await page.emulateMedia({ media: 'screen' })
  await page.goto('/stores/labels?positions=orris')
  await expect(page.getByRole('listitem').filter({ hasText: 'Orris 1' })).toContainText('from the top')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('link', { name: 'Lovage' })).toBeHidden()
  await expect(page.getByRole('img', { name: /Code for .*orris\?string=4/ })).toBeVisible()
})
