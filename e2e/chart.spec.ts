/** The string chart as a person works on it: typing, pasting, importing, rebuilding, a calliper; and a new instrument. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './served'

const cell = (page: Page, column: string, number: number) =>
  page.getByRole('textbox', { name: `${column} of string ${number}`, exact: true })
const findings = (page: Page) => page.getByRole('list', { name: 'Findings' })

test('a changed gauge is reckoned at once, told when it is odd, kept when asked, and undone', async ({
  page,
}) => {
  await page.goto('/instruments/fennel/chart')
  await expect(page.getByText('Nothing odd:')).toBeVisible()
  await cell(page, 'Gauge', 9).fill('1.10')
  const row = page.locator('#line-9')
  await expect(row).toContainText('93')
  await expect(findings(page)).toContainText('the tension jumps by')
  await cell(page, 'Gauge', 9).fill('fat')
  await expect(page.getByRole('button', { name: 'Keep one change' })).toBeDisabled()
  await expect(page.getByText('String 9 can’t be read yet.')).toBeVisible()
  await cell(page, 'Gauge', 9).fill('34 thou')
  // What is typed is there again after a look elsewhere.
  await page.getByRole('link', { name: 'Stores' }).click()
  await page.waitForURL('**/stores')
  await page.goBack()
  await expect(cell(page, 'Gauge', 9)).toHaveValue('34 thou')
  await page.getByRole('button', { name: 'Keep one change' }).click()
  await expect(page.getByText('The chart is kept, with one string changed.')).toBeVisible()
  // As it was written, in a workshop of millimetres.
  await expect(cell(page, 'Gauge', 9)).toHaveValue('34 thou')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Gauge', 9)).toHaveValue('0.84')
})

test('keys move as in a sheet, and a block from a spreadsheet can be pasted', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.goto('/instruments/fennel/chart')
  await cell(page, 'Gauge', 3).click()
  await page.keyboard.press('Enter')
  await expect(cell(page, 'Gauge', 4)).toBeFocused()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowLeft')
  await expect(cell(page, 'Material', 3)).toBeFocused()
  await page.keyboard.press('Control+End')
  await expect(cell(page, 'Material', 31)).toBeFocused()
  await page.evaluate(() => navigator.clipboard.writeText('nylon\t0.80\nnylon\t0.82'))
  await cell(page, 'Material', 3).click()
  await page.keyboard.press('Control+v')
  await expect(cell(page, 'Gauge', 3)).toHaveValue('0.80')
  await expect(cell(page, 'Gauge', 4)).toHaveValue('0.82')
  await page.getByRole('button', { name: 'Put back' }).click()
  await expect(cell(page, 'Gauge', 3)).toHaveValue('0.78')
})

test('the calliper types its reading where the cursor was and goes on to the next string', async ({
  page,
}) => {
  await page.goto('/instruments/fennel/chart')
  await cell(page, 'Gauge', 5).click()
  await page.getByRole('button', { name: 'Calliper' }).click()
  const calliper = page.getByRole('region', { name: 'Calliper' })
  await calliper.getByRole('slider').fill('0.83')
  await calliper.getByRole('button', { name: 'Send' }).click()
  await expect(cell(page, 'Gauge', 5)).toHaveValue('0.83')
  await expect(cell(page, 'Gauge', 6)).toBeFocused()
  await page.getByRole('button', { name: 'Put back' }).click()

  await page.goto('/instruments/fennel/which')
  await page.getByRole('button', { name: 'Calliper' }).click()
  await page.getByRole('region', { name: 'Calliper' }).getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText('Click into a field first')).toBeVisible()
  await page.getByRole('form', { name: 'Measure the old string' }).getByRole('textbox').click()
  await page.getByRole('region', { name: 'Calliper' }).getByRole('button', { name: 'Send' }).click()
  await expect(page.getByRole('list', { name: 'Clues given' })).toContainText('measures 0.86 mm')
})

test('a chart leaves as CSV, comes back through the mapping, and nothing is written before it is kept', async ({
  page,
}) => {
  await page.goto('/instruments/sorrel/chart')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ])
  const csv = readFileSync(await download.path(), 'utf8')
  expect(csv).toBe(readFileSync('demo/charts/sorrel.csv', 'utf8'))
  await page.getByRole('button', { name: 'Import CSV' }).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'sorrel.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.getByText('Every row can be read.')).toBeVisible()
  await page.getByRole('button', { name: 'Take over 36 rows' }).click()
  await expect(page.getByRole('button', { name: 'Nothing changed' })).toBeVisible()

  await page.getByRole('button', { name: 'Import CSV' }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'mine.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('nr;dicke\n1;0,66\n2;horn\n77;1\n'),
  })
  await page.getByRole('combobox', { name: 'Gauge', exact: true }).selectOption('dicke')
  const problems = page.getByRole('alert').filter({ hasText: 'can’t be read' })
  await expect(problems).toContainText('Line 3, gauge')
  await expect(problems).toContainText('there is no string 77')
  await page.getByRole('button', { name: 'Take over 2 rows' }).click()
  await expect(cell(page, 'Gauge', 1)).toHaveValue('0.66')
  await page.getByRole('button', { name: 'Put back' }).click()

  await page.getByRole('button', { name: 'Import CSV' }).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'photo.csv', mimeType: 'text/csv', buffer: Buffer.from([0x89, 0x50, 0, 1, 2]) })
  await expect(page.getByText('photo.csv: This is not a text file')).toBeVisible()
})

test('a lost chart is rebuilt from what is left of it', async ({ page }) => {
  await page.goto('/instruments/lovage/chart')
  await page.getByRole('button', { name: 'Rebuild' }).click()
  await expect(page.getByText('Nothing is missing.')).toBeVisible()
  for (const number of [14, 15, 16])
    for (const column of ['Gauge', 'Material']) await cell(page, column, number).fill('')
  await cell(page, 'Speaking', 15).fill('')
  await expect(page.getByText('Missing: 3 strings and 1 length.')).toBeVisible()
  await page.getByRole('button', { name: 'Propose the rest' }).click()
  await expect(page.getByText('Proposed: 3 strings and 1 length.')).toBeVisible()
  for (const number of [14, 15, 16]) await expect(cell(page, 'Material', number)).toHaveValue('gut')
  const length = Number(await cell(page, 'Speaking', 15).inputValue())
  expect(length).toBeGreaterThan(Number(await cell(page, 'Speaking', 14).inputValue()))
  expect(length).toBeLessThan(Number(await cell(page, 'Speaking', 16).inputValue()))
  await expect(page.getByText('Nothing odd:')).toBeVisible()
})

test('a new instrument draws itself while it is described, and stands on the shelf', async ({ page }) => {
  await page.goto('/instruments')
  await page.getByRole('link', { name: 'A new instrument' }).click()
  const drawn = page.getByRole('region', { name: 'As it comes out' })
  await expect(drawn).toContainText('lever harp, 36 strings')
  await page.getByRole('textbox', { name: 'Notes' }).fill('C3 to J6')
  await expect(drawn).toContainText('It is drawn here as soon as')
  await page.getByRole('combobox', { name: 'Family' }).selectOption('lyre')
  await page.getByRole('textbox', { name: 'Notes' }).fill('G3 to G4')
  await page.getByRole('textbox', { name: 'Speaking lengths' }).fill('1: 372\n8: 430')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByText('The instrument needs a name.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Marjoram')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.waitForURL('**/instruments/marjoram')
  await expect(page.getByRole('heading', { name: 'Marjoram' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Undone.')).toBeVisible()
  await page.goto('/instruments')
  await expect(page.getByRole('link', { name: /Marjoram/ })).toHaveCount(0)
})
