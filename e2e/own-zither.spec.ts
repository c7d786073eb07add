/** A 38-string box zither: fretted melody strings of one length beside open ones, paired wires, hitch pins. */
import { expect, test } from './served'

test.use({ copy: 'empty-own-zither' })
test.describe.configure({ mode: 'serial' })

/** Five melody strings over the frets, then 33 open ones: an order that goes up and down, with sharps and unisons. */
const MELODY = ['A4', 'A4', 'D4', 'G3', 'C3']
const OPEN = [
  ...['F4', 'F4', 'C4', 'C4', 'Bb3', 'Bb3', 'Eb4', 'Eb4', 'A3', 'A3', 'E4', 'E4', 'B3', 'B3'],
  ...[
    'F#3',
    'C#4',
    'G#3',
    'D4',
    'A3',
    'E3',
    'B3',
    'F3',
    'C3',
    'G3',
    'D3',
    'A2',
    'E3',
    'B2',
    'F2',
    'C3',
    'G2',
    'D2',
    'C2',
  ],
]

test('it is entered from a spreadsheet as its owner has it, and keeps every note and length', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByLabel('What is the house called?').fill('Alder Yard')
  await page.getByRole('button', { name: 'Go on to the first instrument' }).click()
  await page.waitForURL('**/instruments/new')
  await page.getByLabel('Name', { exact: true }).fill('Clover')
  await page.getByLabel('Family').selectOption('loop-end zither')
  await page.getByRole('button', { name: 'I have the maker’s chart' }).click()
  const panel = page.getByRole('region', { name: 'A chart from a file' })
  const rows = [
    ...MELODY.map((note) => [note, note < 'B' || note.startsWith('D') ? 'Stahl' : 'Messing', '0,32', '430']),
    ...OPEN.map((note, i) => [
      note,
      i < 18 ? 'Stahl' : 'Messing',
      i < 14 ? '0,30' : i < 18 ? '0,36' : '0,60',
      String(330 + i * 6),
    ]),
  ]
  await panel.locator('input[type=file]').setInputFiles({
    name: 'zither.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Ton;Material;Stärke mm;Länge mm\n${rows.map((row) => row.join(';')).join('\n')}\n`),
  })
  await expect(panel.getByText('Every row can be read.')).toBeVisible()
  await panel.getByRole('button', { name: /38 rows/ }).click()
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.waitForURL('**/instruments/clover*')

  await page.goto('/instruments/clover/chart')
  const notes = await page
    .getByLabel(/^Note of string/)
    .evaluateAll((cells) => cells.map((c) => (c as HTMLInputElement).value))
  expect(notes).toHaveLength(38)
  expect(notes.slice(0, 5)).toEqual(MELODY)
  expect(notes[19]).toBe('F-sharp 3')
  for (const n of [1, 2, 3, 4, 5])
    await expect(page.getByLabel(`Speaking of string ${n}`, { exact: true })).toHaveValue('430')
})

test('its pairs are made one wire each, which goes round two posts', async ({ page }) => {
  await page.goto('/instruments/clover/chart')
  await page.getByRole('button', { name: 'Strings', exact: true }).click()
  const panel = page.getByRole('region', { name: 'Add or take away strings' })
  // Different gauges are no pair, and that is said.
  await panel.getByLabel('String').selectOption('19')
  await panel.getByRole('button', { name: 'Pair with string 20' }).click()
  await expect(panel.getByRole('alert')).toContainText('different gauges')
  for (const first of [6, 8, 10, 12, 14, 16, 18]) {
    await panel.getByLabel('String').selectOption(String(first))
    await panel.getByRole('button', { name: `Pair with string ${first + 1}` }).click()
    await expect(page.getByText(`Strings ${first} and ${first + 1} are one wire now.`)).toBeVisible()
  }
  await page.goto('/instruments/clover?string=6')
})

test('a paired wire breaks and is fitted, and so is a melody string; the chart prints whole', async ({
  page,
}) => {
  for (const n of [7, 1]) {
    await page.goto(`/instruments/clover?string=${n}`)
    await page.getByRole('button', { name: 'This string broke' }).filter({ visible: true }).click()
    await page.getByRole('radio', { name: 'In mid-length' }).click()
    await page.getByRole('button', { name: 'Log the break' }).click()
    await page.waitForURL('**/coil')
    await page.getByRole('button', { name: 'It is in my hand' }).click()
    await page.waitForURL('**/figures')
    await page.getByRole('link', { name: 'Start the fitting' }).click()
    await page.waitForURL('**/steps')
    const steps = page.getByRole('list', { name: 'All steps' })
    await expect(steps.getByText(n === 7 ? /both posts|two posts/ : /Hook the loop on/).first()).toBeVisible()
    await page.goto(page.url().replace('/steps', '/log'))
    await page.getByRole('button', { name: 'Log the fitting' }).click()
    await page.waitForURL('**/done')
    await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
  }
  await page.goto('/instruments/clover/chart')
  await page.emulateMedia({ media: 'print' })
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1)
})
