/** A house of one's own, from an empty folder: three questions, the first instrument, dates, suppliers, people. */
import { expect, test } from './served'

test.use({ copy: 'empty' })
test.describe.configure({ mode: 'serial' })

test('an empty house asks three things, then leads to the first instrument, by keyboard alone', async ({
  page,
}) => {
  await page.goto('/')
  await expect(
    page.getByRole('heading', { name: 'Three questions, then your first instrument' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Go on to the first instrument' }).click()
  await expect(page.getByText('Give the house a name: your own will do.')).toBeVisible()

  await page.getByLabel('What is the house called?').focus()
  await page.keyboard.type('Alder Yard')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL('/instruments/new')
  await page.goto('/practice')
  await expect(page.getByText('There is no instrument to practise on yet.')).toBeVisible()
  await page.goto('/practice/due')
  await expect(page.getByText('Nothing is due, and nothing is new.')).toBeVisible()
  await page.goto('/instruments/new')
  await page.getByLabel('Name', { exact: true }).fill('Juniper')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page).toHaveURL(/\/instruments\/juniper/)
  await page.goto('/')
  await expect(page.getByText('Alder Yard')).toBeVisible()
  await expect(page.getByText('Every position has its string.')).toBeVisible()
})

test('it says what to measure next; each measure makes the figures surer, and one that can’t be is told', async ({
  page,
}) => {
  await page.goto('/instruments/juniper')
  await page.getByRole('link', { name: 'Measure it' }).click()
  const sheet = page.getByRole('region', { name: 'Measuring Juniper' })
  await expect(sheet.getByText('Nothing is measured yet')).toBeVisible()
  const first = await sheet.getByRole('heading', { level: 2 }).first().textContent()
  const sure = page.getByRole('region', { name: 'How sure the figures are' })
  const cutOf = async () => Number(/Cut ±\s*([\d.]+)/.exec((await sure.textContent()) ?? '')?.[1])
  const before = await cutOf()
  const assumed = Number(/Assumed ([\d.]+) mm/.exec((await sheet.textContent()) ?? '')?.[1])
  await sheet.getByLabel('You measure, mm').fill(String(assumed * 2))
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByText('is the unit right?')).toBeVisible()
  await sheet.getByLabel('You measure, mm').fill(String(assumed * 1.02))
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByText('One thing is measured')).toBeVisible()
  await expect(sheet.getByRole('heading', { level: 2 }).first()).not.toHaveText(first ?? '')
  await expect.poll(cutOf).toBeLessThan(before)
})

test('hardware is typed by section; what is typed or found right is measured; what can’t be is told', async ({
  page,
}) => {
  await page.goto('/instruments/juniper')
  await page.getByRole('link', { name: 'Hardware' }).click()
  const sheet = page.getByRole('region', { name: 'The hardware' })
  await expect(sheet.getByText('0 % is measured')).toBeVisible()
  await sheet.getByRole('button', { name: 'Tuning pin' }).click()
  const pins = sheet.getByRole('textbox', { name: /^Pin diameter, / })
  const sections = await pins.count()
  // Marked together, they are typed into together.
  await pins.first().focus()
  await page.keyboard.press('Shift+ArrowDown')
  await pins.first().fill('70')
  const refused = sheet.getByText('70 mm can’t be right here').filter({ visible: true })
  await expect(refused).toHaveCount(Math.min(2, sections))
  await expect(page.getByRole('button', { name: /^Keep/ })).toBeDisabled()
  await pins.first().fill('7.1')
  const aside = page.getByRole('complementary', { name: 'What is in the hand' })
  await expect(aside.getByText('0.10 mm more moves')).toBeVisible()
  await sheet
    .getByRole('combobox', { name: /^Tightens/ })
    .first()
    .focus()
  await aside.getByRole('button', { name: 'It is right as it stands' }).click()
  await page.getByRole('button', { name: /^Keep/ }).click()
  await expect(page.getByText('The hardware is kept.')).toBeVisible()
  await page.reload()
  await expect(sheet.getByText('0 % is measured')).toHaveCount(0)
  await sheet.getByRole('button', { name: 'Tuning pin' }).click()
  await expect(pins.first()).toHaveValue('7.1')

  const layers = page.getByRole('region', { name: 'What lies over what' })
  await layers.getByLabel('String', { exact: true }).fill('3')
  await layers.getByLabel('lies over', { exact: true }).fill('1-2')
  await page.keyboard.press('Enter')
  await expect(layers.getByText('3 lies over 1, 2')).toBeVisible()
  await layers.getByLabel('String', { exact: true }).fill('1')
  await layers.getByLabel('lies over', { exact: true }).fill('3')
  await page.keyboard.press('Enter')
  await expect(layers.getByText(/run in a circle/)).toBeVisible()
  await layers.getByRole('button', { name: 'String 3 lies over nothing' }).click()
  await expect(layers.getByText('Nothing lies over anything')).toBeVisible()
})

test('lengths are read off a photograph: the sheet’s corners, the ends of some strings, by pointer and by keys', async ({
  page,
}) => {
  await page.goto('/instruments/juniper/measuring')
  await page.getByRole('link', { name: 'From a photograph' }).click()
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(page.getByText('That is no picture')).toBeVisible()
  // Drawn square to it, 1,000 pixels a metre: a sheet of A4, and where each string begins and ends.
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 1200
    canvas.height = 1600
    const pen = canvas.getContext('2d')!
    pen.fillStyle = '#876'
    pen.fillRect(0, 0, 1200, 1600)
    pen.fillStyle = '#fff'
    pen.fillRect(500, 650, 210, 297)
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from(drawn, 'base64') })
  const picture = page.getByRole('application')
  const box = (await picture.boundingBox())!
  const click = (x: number, y: number) =>
    picture.click({ position: { x: (x / 1200) * box.width, y: (y / 1600) * box.height } })
  await page.getByLabel('Size told by').selectOption('a ruler')
  await expect(page.getByText('Mark: the first end of the ruler')).toBeVisible()
  await expect(page.getByLabel('From end to end, mm')).toBeVisible()
  await page.getByLabel('Size told by').selectOption('A4, upright')
  await expect(page.getByText('Mark: the upper left corner of the sheet')).toBeVisible()
  await click(500, 650)
  await click(710, 650)
  await click(710, 947)
  // The last corner by keys alone.
  await picture.focus()
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowLeft')
  for (let i = 0; i < 5; i += 1) await page.keyboard.press('Shift+ArrowDown')
  for (let i = 0; i < 22; i += 1) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  const told = page.getByRole('complementary', { name: 'What the picture tells' })
  const first = told.getByRole('row').nth(1)
  const charted = Number(/(\d+) mm$/.exec((await first.textContent()) ?? '')?.[1])
  expect(charted).toBeGreaterThan(50)
  await click(560, 400)
  await click(560, 400 + charted * 0.52)
  await click(560, 400 + charted * 1.04)
  await expect(first).toContainText(/\d+ mm\d/)
  const read = Number(/(\d+) mm\d/.exec((await first.textContent()) ?? '')?.[1])
  expect(Math.abs(read / (charted * 1.04) - 1)).toBeLessThan(0.06)
  await told.getByRole('button', { name: 'Keep these lengths' }).click()
  await expect(page.getByText('The lengths and the picture are kept.')).toBeVisible()
  await expect(page).toHaveURL('/instruments/juniper/measuring')
  await page.goto('/instruments/juniper/about')
  const kept = page.getByRole('region', { name: 'Pictures' })
  await expect(kept.getByRole('img', { name: 'The instrument' })).toHaveJSProperty('naturalWidth', 1200)
})

test('a string is added and taken away, and an instrument copied', async ({ page }) => {
  await page.goto('/instruments/juniper/chart')
  await page.getByRole('button', { name: 'Strings', exact: true }).click()
  const panel = page.getByRole('region', { name: 'Add or take away strings' })
  const rows = page.getByRole('table', { name: 'String chart' }).getByRole('rowheader')
  const before = await rows.count()
  await panel.getByRole('button', { name: 'Add one after it' }).click()
  await expect(rows).toHaveCount(before + 1)
  await panel.getByRole('button', { name: 'Take it away' }).click()
  await expect(rows).toHaveCount(before)

  await page.goto('/instruments/juniper/about')
  await page.getByLabel('Copy it as').fill('Juniper')
  await page.getByRole('button', { name: 'Copy', exact: true }).click()
  await expect(page.getByText('There is an instrument called “Juniper” already.')).toBeVisible()
  await page.getByLabel('Copy it as').fill('Sapling')
  await page.getByRole('button', { name: 'Copy', exact: true }).click()
  await expect(page).toHaveURL('/instruments/sapling/about')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Undone')).toBeVisible()
})

test('a string in the hand goes straight to its figures, and its rest is kept', async ({ page }) => {
  const broke = await page.request.post('/api/breaks', {
    data: { instrument: 'juniper', string: 20, site: 'mid-length' },
  })
  const { jobId } = (await broke.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByText('Measured with a calliper, or its length known').click()
  await page.getByLabel('Gauge, mm').fill('9')
  await page.getByRole('button', { name: 'It is in my hand' }).click()
  await expect(page.getByText('does not belong here')).toBeVisible()
  await page.getByLabel('Gauge, mm').fill('')
  await page.getByRole('button', { name: 'It is in my hand' }).click()
  await expect(page).toHaveURL(`/jobs/${jobId}/figures`)
  await expect(page.getByText(/the cut is sure to ± \d+/)).toBeVisible()
  await page.goto(`/jobs/${jobId}/log`)
  await page.getByLabel('Cut from the coil').fill('500')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page).toHaveURL(`/jobs/${jobId}/done`)
  await page.getByLabel('Left of it, mm').fill('350')
  await page.getByRole('button', { name: 'Keep the rest' }).click()
  await expect(page.getByText('What is left is in the stores.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep the rest' })).toHaveCount(0)
})

test('who is at the bench is told in the history', async ({ page }) => {
  await page.goto('/house')
  await page.getByLabel('People who work here').fill('Ash\n\n  Rowan \n')
  await page.getByLabel('Reference A, Hz').fill('12')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('Below 380 Hz is no reference A that anyone tunes to.')).toBeVisible()
  await page.getByLabel('Reference A, Hz').fill('442')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('The house’s settings are changed.')).toBeVisible()
  const bench = page.getByLabel('Who is at the bench')
  await expect(bench.getByRole('option')).toHaveText(['nobody said', 'Ash', 'Rowan'])
  await bench.selectOption('Rowan')
  await page.goto('/house/dates')
  await expect(page.getByText('No date is ahead.')).toBeVisible()
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByText('Say the day and the hour.')).toBeVisible()
  await page.getByLabel('What it is').fill('Concert')
  await page.getByLabel('Day').fill('2027-03-16')
  await page.getByLabel('For which instruments').fill('Juniper, Nettle')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByText('No instrument on the shelf is called “Nettle”.')).toBeVisible()
  await page.getByLabel('For which instruments').fill('juniper')
  await page.getByLabel('How often').selectOption('every week')
  await page.getByLabel('Times in all').selectOption('4')
  await page.getByRole('button', { name: 'Add it' }).click()
  const ahead = page.getByRole('list', { name: 'Ahead' }).getByRole('listitem')
  await expect(ahead).toHaveCount(4)
  await expect(ahead.first()).toContainText('for Juniper')
  await page.goto('/history')
  await expect(page.getByText('4 dates added').locator('..')).toContainText('by Rowan')
})

test('what is said of an instrument is set right; it leaves the shelf and comes back', async ({ page }) => {
  await page.goto('/instruments/juniper/about')
  await page.getByLabel('Where the maker’s string chart is').fill('somewhere')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Expected an address that begins with http')).toBeVisible()
  await page.getByLabel('Where the maker’s string chart is').fill('https://charts.example.org/juniper')
  await page.getByLabel('Notes').fill('The third pedal sticks.')
  await page.getByLabel('Owner').fill('Alder Yard')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('What is said of Juniper is kept.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Notes')).toHaveValue('The third pedal sticks.')
  await page.goto('/instruments/juniper')
  await expect(page.getByText('The third pedal sticks.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'the maker’s string chart' })).toHaveAttribute(
    'href',
    'https://charts.example.org/juniper',
  )
  await page.getByRole('link', { name: 'About it' }).click()
  await page.getByRole('button', { name: 'Take it off the shelf' }).click()
  await expect(page.getByText('Juniper is off the shelf.')).toBeVisible()
  await page.goto('/instruments')
  await expect(page.getByText('No instrument is on the shelf yet.')).toBeVisible()
  await page.goto('/instruments?needs=retired')
  await page.getByRole('link', { name: /Juniper/ }).click()
  await page.getByRole('link', { name: 'About it' }).click()
  await page.getByRole('button', { name: 'Put it back on the shelf' }).click()
  await expect(page.getByText('Juniper is back on the shelf.')).toBeVisible()
})

test('dates leave as a calendar, come back from another, and are changed and taken away', async ({
  page,
}) => {
  const calendar = await (await page.request.get('/api/dates/calendar.ics')).text()
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(4)
  await page.goto('/house/dates')
  const file = page.getByLabel('Choose its file')
  await file.setInputFiles({ name: 'list.ics', mimeType: 'text/calendar', buffer: Buffer.from('not one') })
  await expect(page.getByText('That is no calendar')).toBeVisible()
  const more = calendar.replaceAll('SUMMARY:Concert', 'SUMMARY:Matinee')
  await file.setInputFiles({ name: 'list.ics', mimeType: 'text/calendar', buffer: Buffer.from(more) })
  await page.getByRole('checkbox').first().uncheck()
  await page.getByRole('button', { name: 'Take 3 dates' }).click()
  const ahead = page.getByRole('list', { name: 'Ahead' }).getByRole('listitem')
  await expect(ahead).toHaveCount(7)

  await page.getByRole('button', { name: 'Change Concert' }).first().click()
  await ahead.first().getByLabel('What it is').fill('Spring concert')
  await ahead.first().getByLabel('Hour', { exact: true }).fill('18:15')
  await ahead.first().getByRole('button', { name: 'Keep it' }).click()
  await expect(ahead.first()).toContainText('18:15')
  await page.getByRole('button', { name: 'Take Spring concert away' }).click()
  await expect(ahead).toHaveCount(6)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(ahead).toHaveCount(7)
})

test('a supplier is added, gets a part typed in, and is given up', async ({ page }) => {
  await page.goto('/orders/suppliers')
  await expect(page.getByText('Nobody is known yet who sells strings.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Birch & Daughters')
  await page.getByLabel('Postage, EUR').fill('4.50')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page).toHaveURL('/orders/suppliers/birch-daughters')
  await page.getByRole('button', { name: 'Add a part' }).click()
  await page.getByLabel('Part number').fill('N-081')
  await page.getByLabel('Gauge').fill('thick')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await page.getByLabel('Gauge').fill('0.81 mm')
  await page.getByLabel('Length').fill('2 m')
  await page.getByLabel('Price').fill('3.20')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('cell', { name: 'N-081' })).toBeVisible()
  await page.getByRole('button', { name: 'Buy nothing more there' }).click()
  await expect(page.getByRole('button', { name: 'Buy there again' })).toBeVisible()
  await page.goto('/orders/suppliers')
  await expect(page.getByText('nothing more is bought there')).toBeVisible()
})

test('a house that keeps no strings in store is not asked about coils', async ({ page }) => {
  await page.goto('/house')
  const keeps = page.getByLabel(/We keep strings in store/)
  // The form fills itself in when it comes alive.
  await expect(keeps).toBeChecked()
  await keeps.uncheck()
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  const places = page.getByRole('navigation', { name: 'Places' })
  await expect(places.getByRole('link', { name: 'Stores' })).toHaveCount(0)
  const broke = await page.request.post('/api/breaks', {
    data: { instrument: 'juniper', string: 12, site: 'mid-length' },
  })
  const { jobId } = (await broke.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await expect(page.getByRole('heading', { name: 'This is the string to get.' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Book in a packet' })).toHaveCount(0)
  await page.getByRole('button', { name: 'It is in my hand' }).click()
  await expect(page).toHaveURL(`/jobs/${jobId}/figures`)
  await page.goto(`/jobs/${jobId}/log`)
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page).toHaveURL(`/jobs/${jobId}/done`)
  await expect(page.getByText('Left of', { exact: false })).toHaveCount(0)
  await page.goto('/orders')
  await expect(page.getByText('too few in the stores')).toHaveCount(0)
  await page.goto('/house')
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Alder Yard')
  await keeps.check()
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(places.getByRole('link', { name: 'Stores' })).toBeVisible()
})

test('the Lantern Shelf is looked around in, and nothing of it comes along', async ({ page }) => {
  await page.request.post('/api/visit', { data: {} })
  await page.goto('/instruments')
  await expect(page.getByText('You are looking around the Lantern Shelf.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Lovage' })).toBeVisible()
  await page.getByRole('button', { name: 'Back to my house' }).click()
  await expect(page.getByText('Alder Yard')).toBeVisible()
  await page.goto('/instruments')
  await expect(page.getByRole('heading', { name: 'Juniper' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Lovage' })).toHaveCount(0)
})

test('everything is taken away in one archive, and taken in again after it is shown what that does', async ({
  page,
}) => {
  await page.goto('/house/archive')
  await page.waitForLoadState('networkidle')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Archive' }).last().click(),
  ])
  expect(download.suggestedFilename()).toBe('alder-yard.zip')
  const zip = await download.path()
  await page.getByLabel('Its file').setInputFiles(zip)
  await expect(page.getByText('There is nothing in it that is not here.')).toBeVisible()

  await page.request.post('/api/instruments/juniper/retire', { data: { retired: true } })
  await page.getByLabel('Its file').setInputFiles([])
  await page.getByLabel('Its file').setInputFiles(zip)
  await expect(page.getByRole('row', { name: /^instrument 0 1/ })).toBeVisible()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('The archive of Alder Yard is taken in.')).toBeVisible()
  await page.goto('/instruments')
  await expect(page.getByRole('link', { name: /Juniper/ })).toBeVisible()

  await page.goto('/house/archive')
  await page.waitForLoadState('networkidle')
  await page
    .getByLabel('Its file')
    .setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByText('That is no archive of a house')).toBeVisible()
})
