/** A whole instrument tuned string by string: by the stand-in, and by typed cents that are kept. */
import { addPluck } from '@/core/ear/pluck'
import { seeded } from '@/core/random/seeded'
import { RATE, withMicrophone } from './microphone'
import { expect, test } from './served'
import { onTheStandIn } from './tune-on-stand-in'

test('a lap zither is tuned on the stand-in: heard first, then each left where it is told, and nothing is kept', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.goto('/instruments/bistort/round')
  await page.getByRole('checkbox', { name: /Hear every string/ }).check()
  await page.getByRole('button', { name: 'Practise on a stand-in' }).click()
  await onTheStandIn(page, 'All are heard')
  await page.getByRole('button', { name: 'Begin to tune' }).click()
  await onTheStandIn(page, 'All are tuned')
  await expect(page.getByText(/none is further off than [0-2]\.\d cents now/)).toBeVisible()
  await page.getByRole('button', { name: 'End the round' }).first().click()
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible()
  await page.goto('/history')
  await expect(page.getByText('A round of Bistort begun')).toHaveCount(0)
})

test('typed cents go round by the keyboard, in another temperament, are kept, and can be undone', async ({
  page,
}) => {
  await page.goto('/instruments/teasel/round')
  const scale = ['Ours', '12', ...Array.from({ length: 11 }, (_, i) => `${100 * (i + 1) + 2}.0`), '2/1'].join(
    '\n',
  )
  const takeIn = (text: string) =>
    page
      .getByLabel('Take one in')
      .setInputFiles({ name: 'ours.scl', mimeType: 'text/plain', buffer: Buffer.from(text) })
  await takeIn('Ours\n7\n1/1')
  await expect(page.getByText('this file has 7.')).toBeVisible()
  await takeIn(scale)
  await expect(page.getByText('The temperament is taken in: choose it above.')).toBeVisible()
  await page.getByRole('combobox', { name: 'Temperament' }).selectOption('Ours')
  const saved = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save this one' }).click()
  expect((await saved).suggestedFilename()).toBe('temperament.scl')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByText('0 of', { exact: false })).toBeVisible()
  const found = page.getByLabel('Found at, cents')
  await found.fill('-12,5')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1 of')
  await expect(found).toHaveValue('')
  await expect(found).toBeFocused()
  await found.fill('4000')
  await page.keyboard.press('Enter')
  await expect(page.getByText('More than three semitones sharp can’t be right.')).toBeVisible()
  // It goes on where it was after the page was left, and is ended.
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1 of')
  await expect(page.getByText(/found at −12\.5, left at/)).toBeVisible()
  await page.getByRole('button', { name: 'End the round' }).click()
  await expect(page.getByRole('heading', { name: 'The last round' })).toBeVisible()
  await page.goto('/history')
  await expect(page.getByText('The round of Teasel ended')).toBeVisible()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The round of Teasel ended' })
    .getByRole('button', { name: /Undo/ })
    .click()
  await page.goto('/instruments/teasel/round')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('1 of')
})

test('by ear each string is told against which one it is heard, and the two can be heard', async ({
  page,
}) => {
  await page.goto('/instruments/fennel/round')
  await page.getByRole('radio', { name: /^by ear/ }).check()
  await page.getByRole('button', { name: 'Practise on a stand-in' }).click()
  // At rest in E-flat major none of its strings sounds A.
  await expect(page.getByText(/^From a tuner/)).toBeVisible()
  await page.getByRole('button', { name: 'Skip it' }).click()
  await expect(page.getByText(/^A (fifth|fourth) (above|below) the \d/)).toBeVisible()
  await expect(
    page.getByText('At pitch it beats 0.5 times a second: first pure, then a little wider.'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Hear the two' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('0 of 31 tuned')
})

test('by the microphone it knows which string is plucked, keeps what it found and goes on by itself', async ({
  page: quiet,
  baseURL,
}) => {
  const lowest = 4
  const random = seeded(9)
  const pitchOf = async (string: number) => {
    await quiet.goto(`/instruments/orris/tune?string=${string}`)
    return Number(/To ([\d.]+) Hz/.exec(await quiet.locator('main').innerText())?.[1])
  }
  // The lowest string, flat and then brought up; the next, which is right already.
  const plucks = [
    { string: lowest, cents: -20 },
    { string: lowest, cents: 0.2 },
    { string: lowest - 1, cents: 0.3 },
  ]
  const each = 2.2 * RATE
  // Nothing sounds before it listens.
  const before = 4 * RATE
  const samples = new Float64Array(before + plucks.length * each)
  for (const [k, { string, cents }] of plucks.entries()) {
    const hz = (await pitchOf(string)) * 2 ** (cents / 1200)
    const voice = { hz, inharmonicity: 4e-5, loss: 1.4, quality: 1500 }
    const end = samples.subarray(0, before + (k + 1) * each)
    addPluck(end, RATE, { voice, at: 0.2, loudness: 0.4 }, before + k * each, random)
  }
  for (let i = 0; i < samples.length; i += 1) samples[i] = samples[i]! + 1e-3 * (random() - 0.5)
  await withMicrophone(samples, baseURL!, async (page) => {
    await page.goto('/instruments/orris/round')
    await page.getByRole('button', { name: 'Begin', exact: true }).click()
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    // It is told twice: where it is done, and above the next string.
    const kept = page.getByText(/found at −(19|20)\.\d, left at [−+]?[01]\.\d/)
    await expect(kept.first()).toBeVisible({ timeout: 30_000 })
    await expect(page.getByRole('heading', { level: 1 })).toContainText('2 of 4 tuned', { timeout: 30_000 })
  })
})
