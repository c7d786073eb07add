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
  await expect(field).toHaveAttribute('aria-valuetext', /^string 5, B4 \(scientific\)/)
  await expect(page.getByText('One wire is two strings here: breaking one takes both.')).toBeVisible()

  await page.getByRole('button', { name: 'This string broke' }).click()
  await expect(page.getByRole('radio', { name: 'At the knot' })).toHaveCount(0)
  await page.getByRole('radio', { name: 'In the wraps' }).click()
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.getByRole('button', { name: 'Cut from this' }).first().click()

  const cut = page.getByRole('region', { name: 'What to cut' })
  await expect(cut.getByRole('listitem').filter({ hasText: 'up to the pin' })).toHaveCount(2)
  await expect(cut.getByRole('listitem').filter({ hasText: 'round the posts' })).toContainText('13.2 mm')
  await expect(
    page.getByText('Before winding, set each pin 3.75 mm above its neighbours, 23.75 mm above the wood'),
  ).toBeVisible()

  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const title = page.getByRole('heading', { level: 2 })
  const seen: string[] = []
  while (seen.at(-1) !== 'Log it') {
    await expect(title).not.toHaveText(seen.at(-1) ?? '')
    seen.push(await title.innerText())
    if (seen.at(-1) === 'Wind the first pin, string 5')
      await expect(page.getByText('Letting go: the wraps spring open.')).toBeVisible()
    await page.getByRole('button', { name: /^Done/ }).click()
  }
  const wire = seen.indexOf('Cut the wire')
  expect(seen.slice(wire, wire + 3)).toEqual([
    'Cut the wire',
    'Wind the first pin, string 5',
    'Round the two posts',
  ])
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await expect(page.getByRole('heading', { name: 'Fitted and logged' })).toBeVisible()

  await page.goto('/')
  for (const string of [5, 6])
    await expect(page.getByRole('listitem').filter({ hasText: `string ${string} of Teasel` })).toHaveCount(1)
})
