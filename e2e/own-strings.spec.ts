/** The user’s own: a harp from its maker’s spreadsheet, strings of unknown age, and a supplier who answers by telephone. */
import { strToU8, zipSync } from 'fflate'
import { expect, test } from './served'

test.use({ copy: 'empty-own-strings' })
test.describe.configure({ mode: 'serial' })

/** 34 nylon strings, C2 to A6, the longest first, as harp octaves beside letters and outer gauges in inches. */
function makersChart(): Buffer {
  const letters = ['C', 'D', 'E', 'F', 'G', 'A', 'B']
  const rows = Array.from({ length: 34 }, (_, i) => {
    const letter = letters[i % 7] as string
    const octave = 2 + Math.floor(i / 7)
    const harp = ['C', 'D', 'E'].includes(letter) ? 8 - octave : 7 - octave
    const made = i < 10 ? 'nylon wound on nylon' : 'nylon'
    const gauge = i < 10 ? 0.078 - i * 0.003 : 0.05 - (i - 10) * 0.0011
    return [String(harp), letter, made, gauge.toFixed(3), String(Math.round(1180 * 0.925 ** i))]
  })
  const cell = (text: string, at: string) =>
    /^[\d.]+$/.test(text)
      ? `<c r="${at}"><v>${text}</v></c>`
      : `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`
  const xml = [['Octave', 'Note', 'Material', 'Gauge (in)', 'Length mm'], ...rows]
    .map(
      (row, i) =>
        `<row r="${i + 1}">${row.map((text, k) => cell(text, `${'ABCDE'[k]}${i + 1}`)).join('')}</row>`,
    )
    .join('')
  return Buffer.from(
    zipSync({ 'xl/worksheets/sheet1.xml': strToU8(`<worksheet><sheetData>${xml}</sheetData></worksheet>`) }),
  )
}

test('a harp is entered from its maker’s spreadsheet, and keeps the maker’s gauges', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('What is the house called?').fill('Alder Yard')
  await page.getByRole('button', { name: 'Go on to the first instrument' }).click()
  await page.waitForURL('**/instruments/new')
  await page.getByLabel('Name', { exact: true }).fill('Rowan')
  await page.getByRole('button', { name: 'I have the maker’s chart' }).click()
  const panel = page.getByRole('region', { name: 'A chart from a file' })
  await panel.locator('input[type=file]').setInputFiles({
    name: 'chart.xlsx',
    mimeType: 'application/octet-stream',
    buffer: makersChart(),
  })
  await expect(panel.getByText('Every row can be read.')).toBeVisible()
  await panel.getByRole('button', { name: /34 rows/ }).click()
  await expect(page.getByRole('button', { name: 'Chart read: 34 strings' })).toBeVisible()
  await expect(page.getByLabel('Notes', { exact: true })).toHaveValue(/^A6 G6 .* D2 C2$/)
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.waitForURL('**/instruments/rowan*')

  // Its wound strings have an outer gauge alone: what makes it up is said to be inferred.
  await page.goto('/instruments/rowan?string=34')
  await expect(page.getByText('core and wrap inferred')).toBeVisible()
  await page.goto('/instruments/rowan/chart')
  const gauge = (row: number) => page.locator(`#line-${row}`).getByLabel(/gauge/i)
  // As its maker wrote them.
  await expect(gauge(34).first()).toHaveValue('0.078 in')
  await expect(gauge(1).first()).toHaveValue('0.025 in')
})

test('nobody knows how old its strings are, and every chance says so', async ({ page }) => {
  await page.goto('/instruments/rowan?string=5')
  await expect(page.getByText('a string of unknown age')).toBeVisible()
  await page.goto('/instruments/rowan/wear')
  await expect(page.getByText('Nobody recorded the age of any of these 34 strings.')).toBeVisible()
  await page.goto('/instruments/rowan/inspection')
  await expect(page.getByText('0 looked at, 34 to go.')).toBeVisible()

  await page.goto('/instruments/rowan?string=5')
  await page.getByRole('button', { name: 'Enter the year' }).click()
  await page.getByLabel('Put on about').fill('2199')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('You typed 2199.')).toBeVisible()
  await page.getByLabel('Put on about').fill('2019')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('definition').filter({ hasText: 'since about 2019' })).toBeVisible()
  await page.goto('/instruments/rowan/wear')
  await expect(page.getByText('Nobody recorded the age of 33 of these 34 strings.')).toBeVisible()
})

test('with one instrument, a broken string is asked for at once, on a phone without scrolling', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/')
  await page.getByRole('link', { name: 'A string broke' }).click()
  await page.waitForURL('**/broke/rowan*')
  const box = page.getByRole('textbox', { name: 'Its name, number or colour' })
  await expect(box).toBeFocused()
  const button = page.getByRole('button', { name: 'This string broke' })
  const place = await button.boundingBox()
  expect(place && place.y + place.height).toBeLessThan(780)
  await box.fill('Es4')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: '4th-octave E' })).toBeVisible()
  await page.getByRole('radio', { name: 'In mid-length' }).click()
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.waitForURL('**/coil')
})

test('a supplier of one’s own is ordered from by telephone: nothing is confirmed that nobody confirmed', async ({
  page,
}) => {
  await page.goto('/orders/suppliers')
  await page.getByLabel('Name', { exact: true }).fill('Hazel Row')
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.waitForURL('**/orders/suppliers/hazel-row')
  await expect(page.getByRole('heading', { name: 'Hazel Row', exact: true })).toBeVisible()
  await expect(page.getByLabel('Simulated: it answers by itself, for trying out')).not.toBeChecked()
})
