/** The string field: pointing, keys, names. */
import { expect, test } from './served'

test('pointing at a string picks the nearest one', async ({ page }) => {
  await page.goto('/instruments/lovage?string=1')
  const field = page.getByRole('slider', { name: 'String field of Lovage' })
  const box = (await field.boundingBox())!
  const numberAt = async (share: number) => {
    await page.mouse.click(box.x + box.width * share, box.y + box.height / 2)
    return Number(await field.getAttribute('aria-valuenow'))
  }
  const [bass, middle, treble] = [await numberAt(0.05), await numberAt(0.5), await numberAt(0.95)]
  expect(bass).toBe(47)
  expect(treble).toBe(1)
  expect(middle).toBeGreaterThan(5)
  expect(middle).toBeLessThan(42)
})

test('keys walk the strings, octaves and ends', async ({ page }) => {
  await page.goto('/instruments/fennel?string=10')
  const field = page.getByRole('slider', { name: 'String field of Fennel' })
  await field.focus()
  const after = async (key: string) => {
    await page.keyboard.press(key)
    return Number(await field.getAttribute('aria-valuenow'))
  }
  expect([
    await after('ArrowRight'),
    await after('ArrowLeft'),
    await after('PageDown'),
    await after('PageUp'),
    await after('End'),
    await after('ArrowLeft'),
    await after('Home'),
    await after('ArrowRight'),
  ]).toEqual([9, 10, 17, 10, 31, 31, 1, 1])
})

test('a name with two readings is asked about; one that is none is answered', async ({ page }) => {
  await page.goto('/instruments/lovage')
  await page.keyboard.press('/')
  await page.keyboard.type('A3')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Which did you mean by “A3”?')).toBeVisible()
  await page.getByRole('button', { name: 'A3 in scientific pitch, the 4th-octave A' }).click()
  await expect(page.getByRole('heading', { name: '4th-octave A' })).toBeVisible()
  const box = page.getByRole('textbox', { name: 'A string’s name or number' })
  await box.fill('25')
  await box.press('Enter')
  await expect(page.getByRole('heading', { name: '4th-octave D' })).toBeVisible()
  await box.fill('60')
  await box.press('Enter')
  await expect(page.getByText('Lovage has no string called “60”')).toBeVisible()
  await box.fill('Q7')
  await box.press('Enter')
  await expect(page.getByText("“Q7” is not a string's name.")).toBeVisible()
})

test('the question mark lists the keys; a place that is none says so', async ({ page }) => {
  await page.goto('/')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Backspace')
  expect((await page.goto('/instruments/nettle'))?.status()).toBe(404)
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible()
})

test('a string that nothing fits is on the need list with all an order must say', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: /5th-octave D of Fennel/ }).click()
  await expect(page.getByRole('heading', { name: 'It is on the need list.' })).toBeVisible()
  for (const line of [
    '5th-octave D, octaves counted E to F from the treble; D3 in scientific pitch',
    'nylon 6.6 on nylon 6.12',
    'lever',
    'Hob & Daughter, Hearth 31',
  ]) {
    await expect(page.getByText(line, { exact: false }).first()).toBeVisible()
  }
})
