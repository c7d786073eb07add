/** A string that nobody can name, and a packet that nobody trusts. */
import { expect, test } from './served'

test('“thin, clear, two below a blue one, springs back” leads to the right string of Fennel', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'A string broke' }).click()
  await page.waitForURL('**/broke')
  await page.getByRole('link', { name: /Fennel/ }).click()
  await page.getByRole('link', { name: 'Which string is it?' }).click()
  await page
    .getByRole('textbox', { name: 'What you know about the string' })
    .fill('thin, clear, two below a blue one, springs back')
  await page.keyboard.press('Enter')
  const first = page.getByRole('list', { name: 'Ranking' }).getByRole('listitem').first()
  await expect(first).toContainText('2nd-octave D')
  await expect(first).toContainText('speaks for it')
  await first.getByRole('link', { name: 'It is this one' }).click()
  await expect(
    page.getByRole('region', { name: 'Plate of the picked string' }).getByRole('heading', { level: 2 }),
  ).toHaveText('2nd-octave D')
})

test('a clue that contradicts the others is named; what says nothing is told and the rest weighed', async ({
  page,
}) => {
  await page.goto('/instruments/lovage/which')
  await page
    .getByRole('textbox', { name: 'What you know about the string' })
    .fill('0.62 mm, glassy, no. 40, purple')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Nothing is known here of “purple”')).toBeVisible()
  await expect(page.getByText('number 40 from the top — at odds')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('list', { name: 'Clues given' })).toContainText('number 40 from the top')
  await page.getByRole('button', { name: 'Begin again' }).click()
  await expect(page.getByText('Any of the 47 strings, until you say something about it.')).toBeVisible()
})

test('what would settle the most is asked, and answering it settles it', async ({ page }) => {
  await page.goto('/instruments/chervil/which')
  await expect(page.getByRole('heading', { level: 2, name: 'Count to the gap' })).toBeVisible()
  const count = page.getByRole('form', { name: 'Count to the gap' })
  await count.getByRole('textbox').fill('50')
  await count.getByRole('button', { name: 'Weigh it' }).click()
  await expect(count).toContainText('Expected a whole number from 1 to 22')
  await count.getByRole('textbox').fill('9')
  await count.getByRole('button', { name: 'Weigh it' }).click()
  await expect(page.getByRole('list', { name: 'Ranking' }).getByRole('listitem').first()).toContainText(
    'string 9;',
  )
})

test('the plates of Chervil and Bryony say that the two rules of octaves disagree', async ({ page }) => {
  for (const slug of ['chervil', 'bryony']) {
    await page.goto(`/instruments/${slug}`)
    await expect(page.getByText('The shortest F here is a 2nd-octave F, counted from middle C')).toBeVisible()
  }
})

test('a new string is held against chart, neighbours and packet', async ({ page }) => {
  await page.goto('/instruments/lovage?string=22')
  await page.getByRole('link', { name: 'Does this new string belong here?' }).click()
  const verdict = page.getByRole('region', { name: 'Verdict' })
  await page.getByRole('textbox', { name: 'Gauge of the new string' }).fill('1.24')
  await page.getByRole('combobox', { name: 'Tension class' }).selectOption('concert')
  await expect(verdict.getByRole('heading', { name: 'It belongs here' })).toBeVisible()
  await page.getByRole('combobox', { name: 'The packet names a' }).selectOption('lever harp')
  await expect(verdict).toContainText('That alone says nothing against it')
  await page.getByRole('combobox', { name: 'Tension class' }).selectOption('folk')
  await expect(verdict.getByRole('heading', { name: 'It does not belong here' })).toBeVisible()
  await expect(verdict).toContainText('overload the instrument')
  await page.getByRole('textbox', { name: 'Gauge of the new string' }).fill('-1')
  await expect(page.getByText('Measure the new string')).toBeVisible()
})

test('a name is found from every screen, on the instrument it names', async ({ page }) => {
  await page.goto('/history')
  await page.keyboard.press('/')
  await page.keyboard.type('third-octave G of Lovage')
  await page.keyboard.press('Enter')
  await page.waitForURL('**/instruments/lovage?string=22')
  await page.goto('/stores')
  const box = page.getByRole('textbox', { name: 'A string’s name or number' })
  await box.fill('30')
  await box.press('Enter')
  await page.getByRole('button', { name: 'Sorrel: number 30 from the top' }).click()
  await page.waitForURL('**/instruments/sorrel?string=30')
  await box.fill('400')
  await box.press('Enter')
  await expect(page.getByText('Sorrel has no string called “400”')).toBeVisible()
})
