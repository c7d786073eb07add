/** A whole restring: planned, moved about, begun, gone through and told of. */
import { expect, test } from './served'

// Packets that other files cut from would be missing here.
test.use({ copy: 'restring' })

test('the order for all of Lovage is worked out, compared, drawn moment by moment, and moved about by hand', async ({
  page,
}) => {
  await page.goto('/instruments/lovage')
  await page.getByRole('link', { name: 'Restring', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Restring Lovage' })).toBeVisible()
  const ways = page.getByRole('table', { name: 'Ways to restring' })
  await expect(ways.getByRole('radio')).toHaveCount(4, { timeout: 20_000 })
  await expect(ways.getByRole('radio', { name: 'Least time' })).toBeChecked()
  await expect(page.getByText(/no order takes less than \d+ min/)).toBeVisible()
  const load = page.getByRole('img', { name: /The frame’s load/ })
  await expect(load).toHaveAttribute('aria-label', /never less than 8[5-9] % .* where 85 % is kept to/)

  const moment = page.getByRole('slider', { name: 'Moment of the work' })
  await moment.press('ArrowRight')
  await expect(page.getByText(/Go 1: the .* is off; 9\d % of the load/)).toBeVisible()
  await moment.press('End')
  await expect(page.getByText(/Go \d+: the .* is at pitch; 100 % of the load/)).toBeVisible()

  const order = page.getByRole('list', { name: 'The order of work' })
  const goes = () => order.getByRole('heading').count()
  const before = await goes()
  await order.getByRole('button', { name: '5th-octave D' }).click()
  const into = page.getByLabel(/Put the 5th-octave D into/)
  await into.selectOption('a go of its own')
  await expect.poll(goes).toBe(before + 1)
  await expect(page.getByRole('heading', { name: 'The order, by hand' })).toBeVisible()
  // Too much at once stays where it was, and says why.
  await ways.getByRole('radio', { name: 'Heaviest first' }).click()
  await order.getByRole('button', { name: '7th-octave C' }).click()
  await page.getByLabel(/Put the 7th-octave C into/).selectOption('go 6')
  await expect(page.getByRole('alert').filter({ hasText: 'the frame would carry' })).toContainText(
    /off, the frame would carry 8\d % of its load; the house wants 85 %/,
  )
  await expect(page.getByRole('heading', { name: 'The order', exact: true })).toBeVisible()
  // Dragged into a go that has room.
  await order.getByRole('button', { name: '7th-octave C' }).dragTo(order.getByRole('listitem').nth(1))
  await expect(order.getByRole('listitem').nth(1)).toContainText('7th-octave C')
  await expect(page.getByRole('heading', { name: 'The order, by hand' })).toBeVisible()

  await page.getByLabel('A session has, min').fill('0')
  await expect(page.getByText('A session takes some minutes: nothing is done in none.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Begin with go 1' })).toBeDisabled()
  await page.getByLabel('A session has, min').fill('150')
  await expect(page.getByRole('list', { name: 'Sessions' })).toContainText('Session 2')
  await page.getByText(/choose others/).click()
  await page.getByLabel('Or by their numbers').fill('3-5, 4')
  await page.getByRole('button', { name: 'Choose these' }).click()
  await expect(page.getByText('String 4 is in the set twice.')).toBeVisible()
})

test('Borage is restrung: strings listed, begun though some are missing, gone through in the plan’s order, reported', async ({
  page,
}) => {
  await page.goto('/instruments/borage/restring')
  await page.getByText(/choose others/).click()
  await page.getByLabel('Or by their numbers').fill('8, 9')
  await page.getByRole('button', { name: 'Choose these' }).click()
  await expect(page.getByText(/of work on 2 strings/)).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText(/The stores hold/)).toBeVisible({ timeout: 20_000 })
  const anyway = page.getByLabel('Begin all the same')
  if (await anyway.isVisible()) {
    await page.getByRole('button', { name: 'Put what is missing on the need list' }).click()
    await expect(page.getByText('What is missing is on the need list.').first()).toBeVisible()
    await expect(page.getByRole('button', { name: 'Begin with go 1' })).toBeDisabled()
    await anyway.check()
  }
  await page.getByRole('button', { name: 'Begin with go 1' }).click()
  await expect(page).toHaveURL(/\/jobs\/\d+/)
  await page.goto('/instruments/borage/restring')
  await expect(page.getByRole('heading', { name: 'Borage is being restrung' })).toBeVisible()
  await expect(page.getByText('0 of 2')).toBeVisible()
  await expect(page.getByRole('link', { name: /Go on with go 1/ })).toBeVisible()
  await page.getByRole('button', { name: 'Give it up here' }).click()
  await page.getByRole('link', { name: 'Report of the last one' }).click()
  await expect(page.getByRole('heading', { name: 'Borage, restrung' })).toBeVisible()
  await expect(
    page.getByText(/Not changed: .*The load at pitch was \d+ N before and is \d+ N now: the same\./),
  ).toBeVisible()
  const invoice = await page.request.get('/api/instruments/borage/restring/invoice')
  expect(await invoice.text()).toMatch(/^What,Count,Each,Amount,Money\n/)
})

test('by keys alone and on a phone nothing is out of reach', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/instruments/yarrow/restring')
  await expect(page.getByText(/the load falls to 41 %: its layers come off together/)).toBeVisible({
    timeout: 20_000,
  })
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
  ).toBeLessThanOrEqual(0)
  const later = page.getByRole('button', { name: 'Later' }).first()
  await later.focus()
  const order = page.getByRole('list', { name: 'The order of work' })
  const first = await order.getByRole('listitem').first().innerText()
  await page.keyboard.press('Enter')
  await expect(order.getByRole('listitem').first()).not.toHaveText(first)
})

test('two people at one harp: each has a part of every go, and steps of their own on a device of their own', async ({
  page,
}) => {
  await page.goto('/house')
  await page.getByLabel('People who work here').fill('Ada\nBo')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('The house’s settings are changed.')).toBeVisible()
  await page.goto('/instruments/lovage/restring')
  const sessions = page.getByRole('list', { name: 'Sessions' })
  await page.getByLabel('A session has, min').fill('200')
  await expect(sessions).toBeVisible({ timeout: 20_000 })
  const alone = await sessions.getByRole('listitem').count()
  await page.getByRole('checkbox', { name: 'Ada' }).check()
  await page.getByRole('checkbox', { name: 'Bo' }).check()
  await expect(page.getByText(/^Ada and Bo each put on/)).toBeVisible()
  await expect.poll(() => sessions.getByRole('listitem').count()).toBeLessThan(alone)
  await expect(page.getByText(/The stores hold/)).toBeVisible({ timeout: 20_000 })
  const anyway = page.getByLabel('Begin all the same')
  if (await anyway.isVisible()) await anyway.check()
  await page.getByRole('button', { name: 'Begin with go 1' }).click()
  await page.waitForURL(/jobs\/\d+/)
  await page.goto(`${page.url().replace(/\/coil$/, '')}/steps`)
  await page.getByLabel('Who is at the bench').selectOption('Bo')
  await page.reload()
  // What is said to all comes first; then only Bo's.
  await page.getByRole('button', { name: 'Done, go on' }).click()
  const step = page.getByText(/^Step \d+ of \d+/)
  for (let i = 0; i < 4; i += 1) {
    await expect(step).toContainText(', Bo')
    const before = await step.innerText()
    await page.getByRole('button', { name: 'Done, go on' }).click()
    await expect(step).not.toHaveText(before)
  }
  await page.goto('/instruments/lovage/restring')
  await expect(page.getByRole('list', { name: 'The order of work' })).toContainText('Ada')
})
