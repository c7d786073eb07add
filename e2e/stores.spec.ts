/** Three strings break on two instruments: remainders used, the rest bought in time, received, labelled and offered. */
import type { Page } from '@playwright/test'
import { expect, test } from './served'

test.use({ copy: 'stores' })
test.describe.configure({ mode: 'serial' })

async function breakString(page: Page, slug: string, number: number): Promise<void> {
  await page.goto(`/instruments/${slug}?string=${number}`)
  await page.getByRole('button', { name: 'This string broke' }).click()
  await page.getByRole('radio', { name: 'In mid-length' }).click()
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.waitForURL('**/coil')
}

test('the cutting plan uses the two remainders that fit, and says what is left for the need list', async ({
  page,
}) => {
  await breakString(page, 'lovage', 22)
  await breakString(page, 'fennel', 24)
  await breakString(page, 'fennel', 11)
  await page.goto('/stores/cutting')
  await page.getByRole('button', { name: 'Plan the cuts' }).click()
  await expect(page.getByText('No fresh coil is opened. Proven best.')).toBeVisible({ timeout: 30_000 })
  await expect(
    page.getByText('Nothing is left for: 5th-octave D of Fennel, 5th-octave E of Fennel.'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Set these coils aside' }).click()
  await expect(
    page.getByRole('listitem').filter({ hasText: '3rd-octave G of Lovage' }).first(),
  ).toContainText('is set aside')
  await expect(
    page.getByRole('listitem').filter({ hasText: '3rd-octave D of Fennel' }).first(),
  ).toContainText('is set aside')
})

test('the rest goes on the need list and is bought for the concert, the cheapest way and beside it from one supplier', async ({
  page,
}) => {
  await page.goto('/orders')
  const suggested = page.getByRole('list', { name: 'Suggested' })
  await expect(
    suggested.getByRole('listitem').filter({ hasText: '5th-octave E of Fennel' }).first(),
  ).toContainText('broken, and nothing in the stores fits')
  await page.getByText(/^\d+ suggestions? for stock$/).click()
  await page
    .getByRole('group')
    .filter({ has: page.getByRole('list', { name: 'Suggested for stock' }) })
    .getByRole('button', { name: /^Put all \d+ on$/ })
    .click()
  await expect(page.getByText(/strings put on the need list/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'Suggested for stock' })).toHaveCount(0)
  await page.getByRole('button', { name: /^Put all \d+ on$/ }).click()
  await expect(page.getByText(/^17 entries of the list/)).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'It must be ready for' })).toHaveValue('Midwinter concert')
  await page.getByRole('button', { name: 'Plan the buying' }).click()
  await expect(page.getByRole('heading', { name: 'From 2 suppliers' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText('Proven the cheapest: no gap is left.').first()).toBeVisible()
  await expect(page.getByText(/One supplier alone would (cost|leave)/)).toBeVisible()
  await expect(page.getByText('Set: lever harp, wound nylon basses').first()).toBeVisible()
  await page.getByRole('button', { name: 'Write these orders' }).click()
  await expect(page.getByText('2 orders are written, one for each supplier.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'On the list' }).getByRole('listitem').first()).toContainText(
    'on order',
  )
})

test('an order is sent to the desk, answered with one substitution, received, labelled, and offered in the next fitting', async ({
  page,
}) => {
  await page.goto('/orders')
  await page
    .getByRole('link', { name: /Weir & Wharf/ })
    .last()
    .click()
  await page.waitForURL(/orders\/\d+$/)
  const sheet = page.getByRole('region', { name: /^Order \d+/ })
  await expect(sheet).toContainText('octaves counted E to F from the treble')
  await expect(sheet).toContainText('in scientific pitch')
  await expect(sheet).toContainText('concert tension')
  await expect(sheet).toContainText('as its owner wrote them')
  const csv = await (await page.request.get(`/api/orders/${page.url().split('/').pop()}/sheet?as=csv`)).text()
  expect(csv.split('\n')[0]).toBe(
    'part,name,packs,material,gauge mm,core mm,wrap mm,colour,tension class,end,length mm,price,for',
  )

  await page.getByRole('button', { name: 'Send it to the simulator' }).click()
  await expect(page.getByText('is sent.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it' })).toBeVisible({ timeout: 15_000 })
  await expect(page.getByRole('button', { name: 'Take it' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByText('Taken.', { exact: true })).toBeVisible()

  const first = page
    .getByRole('complementary', { name: 'What to do next' })
    .locator('input[name^="line"]')
    .first()
  await first.fill('99')
  await page.getByRole('button', { name: 'Book it in' }).click()
  await expect(
    page.getByText(/99 of .* came, and .* still to come: book in what was ordered, and send the rest back\./),
  ).toBeVisible()
  await expect(first).toHaveValue('99')
  await first.fill('1')
  await page.getByRole('button', { name: 'Book it in' }).click()
  await expect(page.getByText('The delivery is booked in; it is offered in the next fitting.')).toBeVisible()
  await page.getByRole('link', { name: 'Print their labels' }).click()
  await expect(
    page.getByRole('img', { name: /Code for http.*\/instruments\/lovage\?string=/ }).first(),
  ).toBeVisible()

  await page.goto('/stores')
  await page.getByRole('textbox', { name: 'Look for' }).fill('New arrivals')
  await expect(page.getByRole('table', { name: 'Coils' }).getByRole('row')).not.toHaveCount(1)
  await page.goto('/')
  await page.getByRole('link', { name: /5th-octave D of Fennel/ }).click()
  await expect(page.getByRole('region', { name: 'Coils that fit' })).toContainText('New arrivals')
})

test('a shortfall, a wrong count and a coil thrown away are answered and can be undone', async ({ page }) => {
  await page.goto('/stores/small-things')
  await page
    .getByRole('button', { name: /Book in \d+ anchors/ })
    .first()
    .click()
  await expect(page.getByText(/\d+ anchors booked in\./)).toBeVisible()
  await page.goto('/stores')
  await page.getByRole('textbox', { name: 'Look for' }).fill('Packet 28')
  await page.getByRole('link', { name: 'Packet 28', exact: true }).click()
  await page.getByRole('textbox', { name: 'Length that is left' }).fill('20 m')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Packet 28 came with 10000 mm; it can’t have more left.')).toBeVisible()
  await page.getByRole('button', { name: 'Throw it away' }).click()
  await expect(page.getByText('Packet 28 is thrown away.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Throw it away' })).toBeVisible()
})

test('a catalogue is imported by mapping, with each bad row told', async ({ page }) => {
  await page.goto('/orders/suppliers')
  await page.getByRole('link', { name: /The Post Barrow/ }).click()
  await page.getByRole('button', { name: 'Import CSV' }).click()
  const csv =
    'Art.;Bezeichnung;Material;Gauge mm;Class;Length m;Preis\nA1;Eins;gut;1,24;concert;1,2;12,50\nA2;Zwei;gut;;concert;1,2;9,00\nA1;Drei;gut;1,28;concert;1,2;9,00\nA3;Vier;gut;1,28;concert;1,2;call us\nA4;Fünf;gut;1,28;;1,2;8,00\nA5;Sechs;gut;1,32;concert;-1;8,00\n'
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'preise.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const problems = page.getByRole('alert').filter({ hasText: 'can’t be read' })
  for (const sentence of [
    'A gauge is missing.',
    'Part A1 stands on line 2 already.',
    'The price is “call us”',
    'Line 7, length',
  ])
    await expect(problems).toContainText(sentence)
  // A row that gives no class is taken; the class is asked once for the file.
  await page.getByLabel('Tension class where a row gives none').selectOption('lever')
  await page.getByRole('button', { name: 'Take over 2 rows' }).click()
  await expect(page.getByText('A catalogue of 2 parts')).toBeVisible()
  await expect(page.getByRole('table', { name: 'Catalogue' })).toContainText('12.50 EUR')
  await expect(page.getByRole('row', { name: /^A4/ })).toContainText('lever, plain')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/A catalogue of \d{2,} parts/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Postage' }).fill('free')
  await page.getByRole('button', { name: 'Keep the terms' }).click()
  await expect(page.getByText('Expected a price such as “12.50”, got “free”.')).toBeVisible()
})

test('a file of a hundred thousand lines is read beside the page, which says how far it is', async ({
  page,
}) => {
  await page.goto('/orders/suppliers')
  await page.getByRole('link', { name: /The Post Barrow/ }).click()
  await page.getByRole('button', { name: 'Import CSV' }).click()
  const lines = Array.from({ length: 100_000 }, (_, i) => `P${i};Nylon;nylon;1,${i % 90};concert;1,2;4,50`)
  await page.locator('input[type=file]').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Art.;Bezeichnung;Material;Gauge mm;Class;Length m;Preis\n${lines.join('\n')}\n`),
  })
  const through = page.getByRole('progressbar')
  await expect(through).toBeVisible()
  // The page answers to a hand meanwhile.
  await page.getByLabel('Part number').selectOption('not in the file')
  await page.getByLabel('Part number').selectOption('Art.')
  await expect(page.getByText('100,000 rows, 7 columns')).toBeVisible()
  await expect(through).toBeHidden({ timeout: 30_000 })
  await expect(page.getByRole('table', { name: 'Preview' }).getByRole('row')).toHaveCount(9)
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('region', { name: /^A catalogue of The Post Barrow/ })).toBeHidden()
})
