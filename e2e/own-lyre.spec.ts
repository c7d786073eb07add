/** A wire lyre of which three strings are missing: rebuilt, bought by the reel from a supplier of one’s own, and strung. */
import { expect, test } from './served'

test.use({ copy: 'empty-own-lyre' })
test.describe.configure({ mode: 'serial' })

/** Strings that are missing, with what is left of the others: steel down to 15, brass below. */
const MISSING = [5, 11, 17]
const known = (n: number) =>
  n <= 15 ? ['steel', ['0.25', '0.30', '0.36'][Math.floor((n - 1) / 5)]] : ['brass', '0.50']

test('it is put on the shelf, and what is missing of its chart is proposed', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('What is the house called?').fill('Alder Yard')
  await page.getByRole('button', { name: 'Go on to the first instrument' }).click()
  await page.waitForURL('**/instruments/new')
  await page.getByLabel('Name', { exact: true }).fill('Alkanet')
  await page.getByLabel('Family').selectOption('lyre')
  await page.getByLabel('Notes', { exact: true }).fill('G3 to E6')
  await page.getByLabel('Tension class').selectOption('wire')
  await page.getByLabel('Speaking lengths you measured').fill('1: 150\n10: 290\n20: 520')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.waitForURL('**/instruments/alkanet*')

  await page.goto('/instruments/alkanet/hardware')
  const hardware = page.getByRole('region', { name: 'The hardware' })
  const cell = (name: RegExp) => hardware.getByLabel(name).first()
  await cell(/^Lower end/).fill('loop on a hitch pin')
  await cell(/^Post or hitch/).fill('2.5')
  // An empty cell says what may stand in it, and nothing typed is lost.
  await cell(/^Board/).fill('')
  await expect(page.getByText(/Enter a value\. From 0 to \d+ mm/).first()).toBeVisible()
  await cell(/^Board/).fill('0')
  await cell(/^Eyelet/).fill('')
  await page.getByRole('button', { name: /^Keep/ }).click()
  await expect(page.getByRole('button', { name: 'Nothing changed' })).toBeVisible()

  await page.goto('/instruments/alkanet/chart')
  for (let n = 1; n <= 20; n += 1) {
    const [material, gauge] = MISSING.includes(n) ? ['', ''] : known(n)
    await page.getByLabel(`Material of string ${n}`, { exact: true }).fill(material ?? '')
    await page.getByLabel(`Gauge of string ${n}`, { exact: true }).fill(gauge ?? '')
  }
  await page.getByRole('button', { name: 'Rebuild' }).click()
  await page.getByRole('button', { name: 'Propose the rest' }).click()
  await expect(page.getByText(/^Proposed: 3 strings and no lengths/)).toBeVisible()
  for (const n of MISSING) {
    const gauge = Number(await page.getByLabel(`Gauge of string ${n}`, { exact: true }).inputValue())
    const [above, below] = [known(n - 1)[1], known(n + 1)[1]].map(Number) as [number, number]
    expect(gauge).toBeGreaterThanOrEqual(above)
    expect(gauge).toBeLessThanOrEqual(below)
  }
  await page.getByRole('button', { name: /^Keep/ }).click()
  await expect(page.getByRole('button', { name: 'Nothing changed' })).toBeVisible()
  // What was known stays as it was typed.
  await expect(page.getByLabel('Gauge of string 4', { exact: true })).toHaveValue('0.25')
})

test('its chart prints whole on one page', async ({ page }) => {
  await page.goto('/instruments/alkanet/chart')
  await page.emulateMedia({ media: 'print' })
  const chart = page.getByRole('article', { name: 'The chart, for paper' })
  await expect(chart.getByRole('row')).toHaveCount(21)
  await expect(page.getByRole('button', { name: 'Rebuild' })).toBeHidden()
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1)
})

test('the missing strings are ordered by the reel, by telephone', async ({ page }) => {
  for (const n of MISSING) {
    await page.goto(`/instruments/alkanet?string=${n}`)
    await page.getByRole('button', { name: 'This string broke' }).filter({ visible: true }).click()
    await page.getByRole('radio', { name: 'In mid-length' }).click()
    await page.getByRole('button', { name: 'Log the break' }).click()
    await page.waitForURL('**/coil')
    await page
      .getByRole('button', { name: /need list/ })
      .first()
      .click()
    await expect(page.getByText('It is on the need list.').first()).toBeVisible()
  }
  const gauges: string[][] = []
  await page.goto('/instruments/alkanet/chart')
  for (const n of MISSING)
    gauges.push([
      await page.getByLabel(`Material of string ${n}`, { exact: true }).inputValue(),
      await page.getByLabel(`Gauge of string ${n}`, { exact: true }).inputValue(),
    ])

  await page.goto('/orders/suppliers')
  await page.getByLabel('Name', { exact: true }).fill('Hazel Row')
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.waitForURL('**/orders/suppliers/hazel-row')
  await page.getByRole('button', { name: 'Add a part' }).click()
  const form = page.getByRole('form', { name: 'A part' })
  // The last is sold a little thicker than the chart has it.
  const sold = gauges.map(([material, gauge], i) => [material, i < 2 ? gauge : String(Number(gauge) + 0.02)])
  for (const [i, [material, gauge]] of sold.entries()) {
    await form.getByLabel('Part number').fill(`R${i + 1}`)
    await form.getByLabel('Material').fill(material ?? '')
    await form.getByLabel('Gauge').fill(gauge ?? '')
    await form.getByLabel('Sold as').selectOption('reel')
    await form.getByLabel('Length on the reel').fill('10 m')
    await form.getByLabel(/^Price/).fill('9.50')
    await form.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText(`R${i + 1} is in the catalogue.`)).toBeVisible()
  }
  await expect(page.getByRole('row', { name: /^R1/ })).toContainText('reel of 10000 mm')

  await page.goto('/orders')
  await page.getByRole('button', { name: 'Plan the buying' }).click()
  const near = page.getByRole('list', { name: /^Gauges near/ })
  await expect(near).toContainText('more. It breaks', { timeout: 30_000 })
  await near.getByRole('button', { name: 'Buy this gauge' }).click()
  await expect(page.getByText(/is on the need list instead/)).toBeVisible()
  await page.getByRole('button', { name: 'Plan the buying' }).click()
  await expect(page.getByText('Plain wire: twist its loops yourself').first()).toBeVisible({
    timeout: 30_000,
  })
  await expect(page.getByText('28.50 EUR').first()).toBeVisible()
  await page.getByRole('button', { name: 'Write this order' }).click()
  await page.waitForURL('**/orders/1')
  await page.getByRole('button', { name: 'I telephoned' }).click()
  await expect(page.getByText('What came')).toBeVisible()
  await page.getByRole('button', { name: 'Book it in' }).click()
  await expect(page.getByRole('button', { name: 'Book it in' })).toHaveCount(0)
})

test('a string is cut from its reel, its loop is twisted, and it is fitted', async ({ page }) => {
  await page.goto('/jobs/1/coil')
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const steps = page.getByRole('list', { name: 'All steps' })
  await expect(steps.getByRole('button', { name: 'Twist the loop' })).toBeVisible()
  await steps.getByRole('button', { name: 'Twist the loop' }).click()
  await expect(page.getByRole('img', { name: /^A twisted loop/ })).toBeVisible()
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/jobs/1/log')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await page.waitForURL('**/done')
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
})
