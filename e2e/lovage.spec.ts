/** A 3rd-octave G of Lovage broken and replaced, by what is on the screens. */
import { expect, test } from './served'

test.describe.configure({ mode: 'serial' })
// Its figures rest on the house's fittings: it has the demo to itself.
test.use({ copy: 'lovage' })

test('from Today to the fitted string', async ({ page }) => {
  await page.goto('/instruments/lovage')
  await page.getByRole('textbox', { name: 'A string’s name or number' }).fill('3rd-octave G')
  await page.keyboard.press('Enter')
  const plate = page.getByRole('region', { name: 'Plate of the picked string' })
  await expect(plate.getByRole('heading', { level: 2 })).toHaveText('3rd-octave G')
  await expect(plate).toContainText('G4 (scientific)')
  await expect(plate).toContainText('G-flat 4')
  await expect(plate).toContainText('370.0')
  await expect(plate).toContainText('1.24')
  await expect(plate).toContainText('Packet 8, Drawer A3: one cut')
  await expect(page).toHaveURL(/string=22/)

  await plate.getByRole('button', { name: 'Show the working: Tension' }).click()
  await expect(page.getByRole('dialog', { name: 'Working: Tension' })).toContainText('T = 4 μ L² f²')
  await page.keyboard.press('Escape')

  await page.goto('/')
  await page.getByRole('link', { name: 'A string broke' }).click()
  await page.waitForURL('**/broke')
  await page.getByRole('link', { name: /Lovage/ }).click()
  await page.waitForURL('**/broke/lovage*')
  const box = page.getByRole('textbox', { name: 'Its name, number or colour' })
  await expect(box).toBeFocused()
  await box.fill('no such string')
  await page.keyboard.press('Enter')
  await expect(page.getByText('No string here is called “no such string”.')).toBeVisible()
  await box.fill('3rd-octave G')
  await page.keyboard.press('Enter')
  const asked = page.getByRole('region', { name: 'Which string broke' })
  await expect(asked.getByRole('heading', { level: 2 })).toHaveText('3rd-octave G')
  await page.getByRole('button', { name: 'Log the break' }).click()
  await expect(page.getByText('Say where it gave way: choose one of the places.')).toBeVisible()
  await page.getByRole('radio', { name: 'At the tuning pin hole' }).click()
  await expect(asked).toContainText('A sharp edge of the hole.')
  await page.getByRole('button', { name: 'Log the break' }).click()

  const coils = page.getByRole('region', { name: 'Coils that fit' })
  await expect(coils.getByRole('listitem').first()).toContainText('Packet 8')
  await expect(coils.getByRole('listitem').first()).toContainText('A remainder.')
  await expect(coils.getByRole('listitem').nth(1)).toContainText('A fresh coil.')
  await coils.getByText('Right, but too short (1)').click()
  await expect(coils.getByRole('listitem').nth(2)).toContainText('too short by')
  await coils.getByRole('button', { name: 'Cut from this' }).first().click()

  // Worked from section by section: gut, d 1.24 mm, L 340.8 mm, free 427.3 mm, f 369.994 Hz, pin 7.2 mm:
  // 73 mm of slack and 644 mm to cut by the sum; the house's fittings take 9 mm off the slack and add 5 to the cut.
  await expect(page.getByRole('region', { name: 'What to cut' })).toContainText('616 mm')
  const slack = page.getByRole('region', { name: 'Slack' })
  await expect(slack).toContainText('65')
  await expect(slack).toContainText('3.9')
  await expect(slack).toContainText('122')
  await expect(slack).toContainText('got 0.3 wraps more than the sum')
  const key = page.getByRole('region', { name: 'The key' })
  await expect(key).toContainText('87°')
  await expect(key).toContainText('10.7°')
  await expect(key).toContainText('12.2')

  await page.getByRole('button', { name: 'Half a wrap more' }).click()
  await expect(page.getByRole('region', { name: 'Wraps on the pin' })).toContainText('3.5')
  await expect(page.getByRole('region', { name: 'What to cut' })).toContainText('629 mm')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('region', { name: 'What to cut' })).toContainText('616 mm')

  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Make ready' })).toBeVisible()
  await expect(page.getByText('Put every pedal in flat')).toBeVisible()
})

test('a dead battery and a reload come back to the same step; the rest goes by keys alone', async ({
  page,
  served,
}) => {
  await page.goto('/')
  await page
    .getByRole('link', { name: /3rd-octave G of Lovage/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const title = page.getByRole('heading', { level: 2 })
  await expect(title).toHaveText('Make ready')
  for (const next of ['Take off the old string', 'Inspect what it touched', 'Check the new string']) {
    await page.keyboard.press('Space')
    await expect(title).toHaveText(next)
  }
  await page.keyboard.press('Backspace')
  await expect(title).toHaveText('Inspect what it touched')
  await page.waitForLoadState('networkidle')
  await served.restart()
  await page.reload()
  await expect(title).toHaveText('Inspect what it touched')

  const rest = [
    'Check the new string',
    'Set the pin',
    'Tie the end knot',
    'Thread it up from inside',
    'Seat the knot against the board',
    'Check the length at the pin',
    'Thread the pin and leave the slack',
    'Wind',
    'Up to pitch',
    'Draw it gently',
    'Park the tail',
    'Look inside',
    'Log it',
  ]
  for (const [i, next] of rest.entries()) {
    await page.keyboard.press((['Enter', 'PageDown', 'Space'] as const)[i % 3]!)
    await expect(title).toHaveText(next)
  }
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('heading', { name: 'Log the fitting' })).toBeVisible()

  await page.getByLabel('Cut from the coil').fill('-20')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByText('The cut must be more than nothing; “-20” is not.')).toBeVisible()
  await page.getByLabel('Cut from the coil').fill('900')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByText(/Packet 8 has only 768 mm left/)).toBeVisible()
  await page.getByLabel('Cut from the coil').fill('62 cm')
  await page.getByLabel('Gauge of the new string').fill('40')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByText('The gauge of 40 mm can’t be right; expected 0.05 mm to 12 mm.')).toBeVisible()
  await page.getByLabel('Gauge of the new string').fill('1.23')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Settling' })).toContainText('Next')
})

test('Today shows its next retune, takes its cents, and the whole can be undone', async ({ page }) => {
  await page.goto('/')
  const row = page
    .getByRole('region', { name: 'Retune now' })
    .getByRole('listitem')
    .filter({ hasText: '3rd-octave G of Lovage' })
  await expect(page.getByRole('region', { name: 'Parked tails' })).toContainText('3rd-octave G of Lovage')
  await expect(row).toContainText('today')
  await row.getByRole('button', { name: /Log a reading/ }).click()
  await row.getByRole('button', { name: /Log the reading/ }).click()
  await expect(row.getByRole('alert')).toHaveText('Cents: expected a number such as −12.')
  await row.getByRole('spinbutton').fill('-4')
  await row.getByRole('button', { name: /Log the reading/ }).click()
  await expect(page.getByRole('status').filter({ hasText: 'was to be expected' })).toBeVisible()
  // Read as soon as it was tuned, it tells nothing of how it settles.
  await expect(row).toContainText('settles as gut usually does')

  await page.goto('/history')
  await expect(page.getByRole('listitem').first()).toContainText(
    '3rd-octave G of Lovage read at −4 cents and brought back',
  )
  await page
    .getByRole('button', { name: /^Undo: 3rd-octave G of Lovage gave way/ })
    .first()
    .click()
  await expect(page.getByRole('alert').filter({ hasText: 'can’t be undone by itself' })).toBeVisible()
  for (const what of [
    '3rd-octave G of Lovage read at',
    '3rd-octave G of Lovage fitted from',
    'Packet 8 chosen',
    '3rd-octave G of Lovage gave way',
  ]) {
    await page
      .getByRole('button', { name: new RegExp(`^Undo: ${what}`) })
      .first()
      .click()
    await expect(page.getByRole('listitem').first()).toContainText(`Undone: ${what}`)
  }
  await page.goto('/instruments/lovage?string=22')
  await expect(page.getByText('Packet 8, Drawer A3: one cut')).toBeVisible()
  await expect(page.getByRole('button', { name: 'This string broke' })).toBeVisible()
})
