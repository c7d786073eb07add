/** The winding bench: the key is turned on the screen before it is turned on the pin. */
import { expect, test } from './served'

test('the key brings a string from slack to its pitch and on to breaking', async ({ page }) => {
  await page.goto('/instruments/lovage?string=29')
  await page.getByRole('link', { name: 'Try it on the winding bench' }).click()
  const comes = page.getByRole('region', { name: 'What it comes to' })
  await expect(comes).toContainText('G-flat 3')
  await expect(comes).toContainText('at its pitch')
  await expect(page.getByRole('img', { name: 'The string is tight' })).toBeVisible()
  const key = page.getByRole('slider', { name: /Key turned/ })
  await key.fill('300')
  await expect(comes).toContainText('nothing yet')
  await expect(comes).toContainText('of slack are left')
  await expect(page.getByRole('img', { name: 'The string hangs slack' })).toBeVisible()
  await page.getByRole('button', { name: 'Snug' }).click()
  await key.focus()
  for (let i = 0; i < 20; i += 1) await page.keyboard.press('ArrowRight')
  await expect(comes).toContainText('cents below its pitch')
  await page.getByRole('button', { name: 'To breaking' }).click()
  for (let i = 0; i < 5; i += 1) {
    await key.focus()
    await page.keyboard.press('ArrowRight')
  }
  await expect(comes).toContainText('It would have broken on the way here.')
  await expect(page.getByRole('img', { name: 'The string has broken' })).toBeVisible()
})

test('slack by wraps and by rule of thumb changes the wraps at pitch; the curve says where the rule works', async ({
  page,
}) => {
  await page.goto('/instruments/fennel/bench?string=4')
  const comes = page.getByRole('region', { name: 'What it comes to' })
  await page.getByRole('button', { name: 'for 4 wraps' }).click()
  await expect(comes).toContainText(/Wraps\s*4/)
  await page.getByRole('button', { name: 'for 2 wraps' }).click()
  await expect(comes).toContainText(/Wraps\s*2/)
  await page.getByRole('button', { name: 'an octave', exact: true }).click()
  await expect(comes).not.toContainText(/Wraps\s*2 /)
  await expect(page.getByText(/it lands among 2 to 4 wraps on \d+ of 31 strings/)).toBeVisible()
  await expect(page.getByRole('img', { name: /^Wraps by a fifth:/ })).toBeVisible()
})

test('a geared pin is turned six times as far, and an instrument has no bench for a string it lacks', async ({
  page,
}) => {
  await page.goto('/instruments/orris/bench?string=2')
  const key = page.getByRole('slider', { name: /Key turned/ })
  const turned = Number(
    /([\d.]+) turns of the key/.exec((await key.getAttribute('aria-valuetext')) ?? '')?.[1],
  )
  const wraps = Number(
    /Wraps\s*([\d.]+)/.exec(
      (await page.getByRole('region', { name: 'What it comes to' }).textContent()) ?? '',
    )?.[1],
  )
  expect(turned / wraps).toBeGreaterThan(5.4)
  expect(turned / wraps).toBeLessThan(6.6)
  expect((await page.goto('/instruments/orris/bench?string=9'))?.status()).toBe(404)
})
