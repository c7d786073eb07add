/** Fennel's nylon, the house's habits, and two people at one coil. */
import type { Page } from '@playwright/test'
import { expect, test } from './served'

test.describe.configure({ mode: 'serial' })

const choose = async (page: Page, string: number, site: string) => {
  await page.goto(`/instruments/fennel?string=${string}`)
  await page.getByRole('button', { name: 'This string broke' }).click()
  await page.getByRole('radio', { name: site }).click()
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.waitForURL('**/coil')
}

test('nylon on a lever harp: an anchor, a lever to disengage, no wire', async ({ page }) => {
  await choose(page, 14, 'At the lever')
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await expect(page.getByText('This knot needs an anchor.')).toBeVisible()
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  await expect(page.getByText('an anchor', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('Put every lever off. Off is down on most harps.')).toBeVisible()
  await expect(page.getByText('eye protection')).toHaveCount(0)
  const steps = page.getByRole('list', { name: 'All steps' })
  await steps.getByRole('button', { name: /Tie the end knot/ }).click()
  await expect(page.getByText('Put an anchor of old gut into its eye')).toBeVisible()
})

test('a habit of the house changes figures and steps at once, and its undoing changes them back', async ({
  page,
}) => {
  await page.goto('/house/habits')
  await page.getByRole('radio', { name: /^an octave/ }).click()
  await expect(
    page.getByRole('status').filter({ hasText: 'The rule of thumb for pins: an octave.' }),
  ).toBeVisible()
  await page.getByRole('radio', { name: /^from the front, knot after/ }).click()
  await expect(
    page.getByRole('status').filter({ hasText: 'How it is threaded: from the front, knot after.' }),
  ).toBeVisible()

  await page.getByRole('link', { name: 'Today' }).click()
  await page.getByRole('link', { name: /3rd-octave A of Fennel/ }).click()
  await page.waitForURL('**/figures')
  await expect(page.getByText(/Your rule \(an octave\) gives/)).toBeVisible()
  await expect(page.getByText('outside 2 to 4')).toBeVisible()
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const order = await page.getByRole('list', { name: 'All steps' }).getByRole('listitem').allInnerTexts()
  const place = (title: string) => order.findIndex((text) => text.includes(title))
  expect(place('Thread it down from the front')).toBeGreaterThan(0)
  expect(place('Thread it down from the front')).toBeLessThan(place('Tie the end knot'))

  await page.goto('/history')
  await page.getByRole('button', { name: 'Undo: The house’s habit: how it is threaded' }).click()
  await expect(page.getByRole('listitem').first()).toContainText(
    'Undone: The house’s habit: how it is threaded',
  )
  await page.goBack()
  await page.reload()
  await expect(page.getByRole('list', { name: 'All steps' })).toContainText('Thread it up from inside')
})

test('two people finish two strings from one coil: the second is told what is left, and nothing goes below zero', async ({
  page,
  browser,
  served,
  request,
}) => {
  const booked = await request.post('/api/coils', {
    data: {
      label: 'Shared packet',
      unit: 'mm',
      material: 'nylon 6.12',
      gauge: '1.1',
      length: '1000',
      colour: 'black',
      tensionClass: 'lever',
    },
  })
  const { coilId } = (await booked.json()) as { coilId: number }
  const jobs: number[] = []
  for (const string of [16, 20]) {
    const broken = await request.post('/api/breaks', {
      data: { instrument: 'fennel', string, site: 'mid-length' },
    })
    jobs.push(((await broken.json()) as { jobId: number }).jobId)
  }
  const wrong = await request.post(`/api/jobs/${jobs[1]}/coil`, { data: { coilId } })
  expect(wrong.status()).toBe(400)
  expect(((await wrong.json()) as { sentence: string }).sentence).toContain(
    'Its gauge is too far from the chart’s.',
  )

  expect((await request.post(`/api/jobs/${jobs[0]}/coil`, { data: { coilId } })).ok()).toBe(true)
  // A device of their own: windows of one browser share what waits there.
  const other = await browser.newPage({ baseURL: served.url })
  for (const tab of [page, other]) {
    await tab.goto(`/jobs/${jobs[0]}/log`)
    await tab.getByLabel('Cut from the coil').fill('637')
  }
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
  await other.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(
    other.getByText('The 3rd-octave F of Fennel is fitted already; undo that first.'),
  ).toBeVisible()
  await other.goto('/stores')
  await expect(async () => {
    await other.getByRole('textbox', { name: 'Look for' }).fill('')
    await other.getByRole('textbox', { name: 'Look for' }).fill('Shared packet')
    await expect(other.getByRole('row').filter({ hasText: 'Shared packet' })).toContainText(/36\d mm/)
  }).toPass({ timeout: 40_000 })
})

test('a string that slipped is put back without cutting anything', async ({ page }) => {
  await choose(page, 7, 'Slipped, unbroken')
  await page.getByRole('button', { name: 'Put the same string back' }).click()
  await page.waitForURL('**/figures')
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  await expect(page.getByText('Let it down before you cut anything.')).toHaveCount(0)
  await page
    .getByRole('list', { name: 'All steps' })
    .getByRole('button', { name: /Take off/ })
    .click()
  await expect(page.getByText('Let it down before you cut anything.')).toBeVisible()
  await page.getByRole('link', { name: '4 Log' }).click()
  await expect(page.getByLabel('Cut from the coil')).toHaveCount(0)
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
  await page.goto('/instruments/fennel?string=7')
  await page.getByText('History of this position').click()
  await expect(page.getByText('the same string put back, 3 wraps')).toBeVisible()
})

test('the bar above the page undoes what was just done, without leaving the page', async ({ page }) => {
  await choose(page, 3, 'At the knot')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Undone. It stays in the history')).toBeVisible()
  await page.goto('/instruments/fennel?string=3')
  await expect(page.getByRole('button', { name: 'This string broke' })).toBeVisible()
})

test('Backstage is remembered, and a narrow phone holds every screen', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Backstage' }).click()
  await page.goto('/stores')
  await expect(page.locator('html')).toHaveAttribute('data-light', 'backstage')
  await page.setViewportSize({ width: 360, height: 740 })
  for (const place of [
    '/',
    '/instruments',
    '/instruments/lovage?string=40',
    '/stores',
    '/history',
    '/house',
  ]) {
    await page.goto(place)
    expect(await page.evaluate(() => document.documentElement.scrollWidth), place).toBeLessThanOrEqual(360)
  }
  await page.getByRole('button', { name: 'Daylight' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-light', 'day')
})
