/** The end knots, stage by stage: by keys, from inside the box, for the left hand, and on paper. */
import { expect, test } from './served'

test('a knot is gone through by keys, each stage in words that stand alone', async ({ page }) => {
  await page.goto('/knots?knot=slip%20loop')
  const sheet = page.getByRole('region', { name: 'slip loop' })
  await expect(sheet).toContainText('Stage 1 of 4')
  await page.keyboard.press('ArrowRight')
  await expect(sheet).toContainText('Stage 2 of 4')
  await expect(sheet).toContainText('The working end passes in front of the standing part.')
  await page.getByRole('button', { name: 'From inside the box' }).click()
  await expect(sheet).toContainText('The working end passes behind the standing part.')
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  await expect(sheet).toContainText('Stage 4 of 4')
  await expect(page.getByRole('button', { name: 'Next' })).toBeDisabled()
  await expect(sheet).toContainText('what the standing part draws tight on the bight is an overhand', { ignoreCase: true })
  await page.getByRole('button', { name: 'For the left hand' }).click()
  await expect(sheet).toContainText('mirrored for the left hand')
})

test('all stages print on one page, and a knot that is not there has no page', async ({ page }) => {
  await page.goto('/knots?knot=third%20loop')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('img', { name: /^Stage \d$/ })).toHaveCount(4)
  await expect(page.getByRole('button', { name: 'Next' })).toBeHidden()
  const pdf = await page.pdf({ format: 'A4', margin: { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' } })
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1)
  expect((await page.goto('/knots?knot=granny'))?.status()).toBe(404)
})

test('the step of the knot shows the job’s own knot and leads to its stages', async ({ page, request }) => {
  const answer = await request.post('/api/breaks', { data: { instrument: 'lovage', string: 21, site: 'knot' } })
  const { jobId } = (await answer.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.goto(`/jobs/${jobId}/steps`)
  await page.getByRole('list', { name: 'All steps' }).getByRole('button', { name: /Tie the end knot/ }).click()
  await expect(page.getByRole('img', { name: 'The two-loop, open bight knot, still open' })).toBeVisible()
  await page.getByRole('link', { name: 'Stage by stage, from either side' }).click()
  await expect(page.getByRole('heading', { name: 'two-loop, open bight' })).toBeVisible()
})
