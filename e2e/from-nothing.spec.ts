/** With a phone and an empty folder: from nothing to the figures of a first fitting, for a harp, a zither of paired wires and a long zither. */
import type { Locator, Page } from '@playwright/test'
import { expect, test } from './served'

test.use({ viewport: { width: 390, height: 844 }, copy: 'empty, by phone' })
test.describe.configure({ mode: 'serial' })

/** A person with a thumb: what each touch and letter takes, what a page takes to read, and a length to measure, s. */
const TAKES = { touch: 2, letter: 0.5, page: 8, measure: 30 } as const
/** What is asked for: ten minutes. */
const AT_MOST = 600

class Thumb {
  private seconds = 0
  constructor(readonly page: Page) {}
  async touch(on: Locator): Promise<void> {
    await on.click()
    this.seconds += TAKES.touch
  }
  async type(into: Locator, text: string): Promise<void> {
    await into.fill(text)
    this.seconds += TAKES.touch + text.length * TAKES.letter
  }
  async choose(in_: Locator, option: string): Promise<void> {
    await in_.selectOption(option)
    this.seconds += 2 * TAKES.touch
  }
  reads(): void {
    this.seconds += TAKES.page
  }
  measures(): void {
    this.seconds += TAKES.measure
  }
  took(): number {
    return this.seconds
  }
}

test('three questions are answered', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('What is the house called?').fill('Alder Yard')
  await page.getByRole('button', { name: 'Go on to the first instrument' }).click()
  await expect(page).toHaveURL('/instruments/new')
})

for (const [family, name] of [
  ['lever harp', 'Tansy'],
  ['lap zither', 'Sedge'],
  ['long zither', 'Rush'],
] as const)
  test(`a ${family} gets its chart, its hardware and its first figures within ten minutes`, async ({
    page,
  }) => {
    const thumb = new Thumb(page)
    await page.goto('/instruments/new')
    thumb.reads()
    await thumb.type(page.getByLabel('Name', { exact: true }), name)
    await thumb.choose(page.getByLabel('Family'), family)
    await thumb.touch(page.getByRole('button', { name: 'Put it on the shelf' }))
    await expect(page).toHaveURL(new RegExp(`/instruments/${name.toLowerCase()}`))

    await thumb.touch(page.getByRole('link', { name: 'Measure it' }))
    const sheet = page.getByRole('region', { name: `Measuring ${name}` })
    const value = sheet.getByLabel('You measure, mm')
    // Four, or fewer where it says that more is not worth it.
    for (let i = 0; i < 4 && (await value.count()) > 0; i += 1) {
      thumb.reads()
      thumb.measures()
      const what = (await sheet.getByRole('heading', { level: 2 }).first().textContent()) ?? ''
      const assumed = Number(/Assumed ([\d.]+) mm/.exec((await sheet.textContent()) ?? '')?.[1])
      await thumb.type(value, String(assumed))
      await thumb.touch(sheet.getByRole('button', { name: 'Keep it' }))
      await expect(sheet.getByRole('heading', { name: what, exact: true })).toHaveCount(0)
    }
    await thumb.touch(sheet.getByRole('link', { name }))

    await thumb.touch(page.getByRole('link', { name: 'Hardware' }))
    const hardware = page.getByRole('region', { name: 'The hardware' })
    await thumb.touch(hardware.getByRole('button', { name: 'Tuning pin' }))
    thumb.reads()
    thumb.measures()
    await thumb.type(hardware.getByLabel(/^Pin diameter/).filter({ visible: true }), '6')
    await thumb.touch(page.getByRole('button', { name: /^Keep/ }))
    await expect(page.getByText('The hardware is kept.')).toBeVisible()
    await thumb.touch(hardware.getByRole('link', { name }))

    await thumb.touch(page.getByRole('button', { name: 'This string broke' }).filter({ visible: true }))
    thumb.reads()
    await thumb.touch(page.getByRole('radio').first())
    await thumb.touch(page.getByRole('button', { name: 'Log the break' }))
    await expect(page).toHaveURL(/\/jobs\/\d+\/coil/)
    thumb.reads()
    await thumb.touch(page.getByRole('button', { name: 'It is in my hand' }))
    await expect(page).toHaveURL(/\/jobs\/\d+\/figures/)
    // How sure the first figure is, said with it.
    await expect(page.getByText(/sure to ± \d+/)).toBeVisible()
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0)
    expect(thumb.took()).toBeLessThan(AT_MOST)
    test.info().annotations.push({ type: 'seconds', description: String(Math.round(thumb.took())) })
  })
