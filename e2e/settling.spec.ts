/** What settles: the sheet, one string, and the visits until a date. */
import { expect, test } from './served'

test('a string that slipped is found on the sheet, and its page says what to look at', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'All that settles' }).click()
  await expect(page.getByRole('heading', { name: 'Settling', level: 1 })).toBeVisible()
  await expect(page.getByRole('img', { name: /settling strings have fallen/ })).toBeVisible()
  const row = page.getByRole('row', { name: /1st-octave A of Lovage/ })
  await expect(row).toContainText('look at knot and pin first')
  await row.getByRole('link').click()
  await expect(page.getByRole('heading', { name: '1st-octave A of Lovage' })).toBeVisible()
  const last = page.getByRole('region', { name: 'The last reading' })
  await expect(last).toContainText('It slipped at knot or pinsure')
  await expect(last).toContainText('Look whether the knot has drawn in')
  await expect(page.getByRole('region', { name: 'On the day' })).toContainText('Lantern walk')
  await page.getByRole('link', { name: 'Hear it' }).click()
  await expect(page).toHaveURL('/instruments/lovage/tune?string=7')
})

test('a reading that is logged makes the string’s band narrower', async ({ page }) => {
  const off = async () => {
    await page.goto('/settling')
    const text = await page.getByRole('row', { name: /2nd-octave E of Lovage/ }).innerText()
    return Number(/± (\d+)/.exec(text)?.[1])
  }
  const before = await off()
  await page.goto('/')
  await page.getByLabel('Cents read on the 2nd-octave E of Lovage, string 10').fill('-20')
  await page.getByRole('button', { name: 'Log the reading of the 2nd-octave E of Lovage, string 10' }).click()
  await expect(page.getByText('Logged;')).toBeVisible()
  expect(await off()).toBeLessThan(before)
})

test('visits are planned when someone is there, follow the house’s hours, and are taken away as a calendar', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('region', { name: 'Ahead' }).getByRole('link', { name: 'Lantern walk' }).click()
  await expect(page.getByRole('heading', { name: 'Visits until Lantern walk' })).toBeVisible()
  await expect(page.getByText(/visits keep all \d+ settling strings within 15 cents/)).toBeVisible()
  await expect(
    page.getByText(/Look at knot and pin first, before any visit: 1st-octave A of Lovage/),
  ).toBeVisible()
  const hours = async () => {
    const texts = await page.getByRole('listitem').getByRole('heading', { level: 2 }).allInnerTexts()
    return texts.map((text) => /(\d\d):(\d\d)$/.exec(text)!).map(([, h, m]) => Number(h) + Number(m) / 60)
  }
  const first = await hours()
  expect(first.length).toBeGreaterThan(2)
  for (const hour of first) {
    expect(hour).toBeGreaterThanOrEqual(9)
    expect(hour).toBeLessThanOrEqual(18)
  }
  const address = await page.getByRole('link', { name: 'iCalendar' }).getAttribute('href')
  const calendar = await (await page.request.get(address ?? '')).text()
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(first.length)
  expect(calendar.match(/BEGIN:VALARM/g)).toHaveLength(first.length)

  await page.goto('/house')
  await page.getByLabel('From').fill('06:00')
  await page.getByLabel('Until').fill('08:00')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('settings are changed')).toBeVisible()
  await page.goto('/settling/visits')
  for (const hour of await hours()) expect(hour).toBeLessThanOrEqual(8)
  await page.goto('/house')
  await page.getByLabel('Until').fill('05:00')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('The house closes later in the day than it opens.')).toBeVisible()
})

test('a string put on at an interval is told what the minutes can do, and when to touch it up', async ({
  page,
}) => {
  await page.goto('/settling')
  await page
    .getByRole('row', { name: /2nd-octave E of Lovage/ })
    .getByRole('link')
    .click()
  const halves = page.getByRole('region', { name: 'Between the halves' })
  const gently = halves.getByRole('row', { name: /Pull it gently/i })
  const falls = async () => Number(await gently.getByRole('cell').nth(1).innerText())
  await halves.getByLabel('Minutes left').fill('1')
  const little = await falls()
  await halves.getByLabel('Minutes left').fill('12')
  await expect.poll(falls).toBeLessThan(little)
  await expect(halves.getByRole('row', { name: /Big motions/i })).toContainText('not as a habit')
  await halves.getByLabel('Second half, minutes').fill('240')
  await expect(halves.getByRole('row', { name: /Leave it alone/i })).toContainText(
    /after [\d, ]+ min|not needed/,
  )
  await halves.getByLabel('Minutes left').fill('soon')
  await expect(halves.getByText('Say how many minutes are left')).toBeVisible()
})

test('the room is read by the stand-in, by hand and from a logger, and what can’t be is told', async ({
  page,
}) => {
  await page.goto('/settling/room')
  await page.getByRole('button', { name: 'Read the stand-in hygrometer' }).click()
  await expect(page.getByLabel('Temperature, °C')).toHaveValue(/^\d{2}(\.\d)?$/)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText(/^Last read .*: \d+\.\d °C, \d+ %\.$/)).toBeVisible()
  await page.getByLabel('Temperature, °C').fill('21')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('The room was read in this half hour already.')).toBeVisible()
  await page.getByRole('button', { name: 'A logger’s file' }).click()
  const rows = Array.from(
    { length: 8 },
    (_, i) => `2026-11-23 ${String(8 + i).padStart(2, '0')}:00,${20 + i / 10},${50 - i}`,
  )
  await page.locator('input[type=file]').setInputFiles({
    name: 'logger.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['time,temp,hum', ...rows, 'soon,20,40'].join('\n')),
  })
  await expect(page.getByText('“soon” is no day and hour.')).toBeVisible()
  await page.getByRole('button', { name: 'Take over 8 rows' }).click()
  await expect(page.getByText('The logger’s readings are kept')).toBeVisible()
  await page.goto('/history')
  await expect(page.getByText('8 readings of the room kept')).toBeVisible()
})
