/** One wire of Teasel, which is two strings; on a phone. */
import { expect, test } from './served'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('breaking one takes both, and one cut serves both', async ({ page }) => {
  await page.goto('/broke')
  await page.getByRole('link', { name: /Teasel/ }).click()
  const field = page.getByRole('slider', { name: 'String field of Teasel' })
  await field.focus()
  await page.keyboard.press('Home')
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowLeft')
  await expect(field).toHaveAttribute('aria-valuenow', '5')
  await expect(field).toHaveAttribute('aria-valuetext', 'string 5, B4 (scientific), number 5 from the top')
  await expect(page.getByText('One wire is two strings here: breaking one takes both.')).toBeVisible()

  await page.getByRole('button', { name: 'This string broke' }).click()
  await expect(page.getByRole('radio', { name: 'At the knot' })).toHaveCount(0)
  await page.getByRole('radio', { name: 'In the wraps' }).click()
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.getByRole('button', { name: 'Cut from this' }).first().click()

  const cut = page.getByRole('region', { name: 'What to cut' })
  await expect(cut.getByRole('listitem').filter({ hasText: 'up to the pin' })).toHaveCount(2)
  await expect(cut.getByRole('listitem').filter({ hasText: 'round the posts' })).toContainText('13.2 mm')
  await expect(page.getByText('Before winding, each pin stands 3.75 mm higher')).toBeVisible()

  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const title = page.getByRole('heading', { level: 2 })
  const seen: string[] = []
  for (let i = 0; i < 11; i += 1) {
    seen.push(await title.innerText())
    if (seen.at(-1) === 'Wind one pin, then the other') await expect(page.getByText('Hold the slack of the wire tight')).toBeVisible()
    await page.getByRole('button', { name: /^Done/ }).click()
    await expect(title).not.toHaveText(seen.at(-1) as string)
  }
  expect(seen.slice(4, 8)).toEqual(['Cut the wire', 'Set both pins', 'Round the two posts', 'Wind one pin, then the other'])
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()

  await page.goto('/')
  await expect(page.getByRole('listitem').filter({ hasText: 'string 5 of Teasel' })).toHaveCount(2)
})
