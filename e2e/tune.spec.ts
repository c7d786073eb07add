/** The ear in a real browser: by the stand-in, and by a microphone that hears a sound file. */
import { addPluck, partialsOf } from '@/core/ear/pluck'
import { seeded } from '@/core/random/seeded'
import { RATE, withMicrophone } from './microphone'
import { expect, test } from './served'

/** The 3rd-octave G of Lovage. */
const STRING = 22

test('a newcomer brings a string up by the stand-in, in the turns that are told, without breaking it', async ({
  page,
}) => {
  await page.goto(`/instruments/lovage/tune?string=${STRING}`)
  const heard = page.getByRole('status', { name: 'What is heard' })
  await page.getByRole('button', { name: 'Pluck it' }).click()
  await expect(heard).toContainText(/−\d.*semitones/)
  const turn = page.getByRole('button', { name: /^Turn the key by/ })
  const inTune = page.getByText('In tune.')
  for (let turns = 0; turns < 8 && !(await inTune.isVisible()); turns += 1) {
    const before = await heard.innerText()
    await turn.click()
    await expect(heard).not.toHaveText(before)
    // It is read three times while it rings.
    await page.waitForTimeout(600)
  }
  await expect(inTune).toBeVisible()
  await expect(page.getByText(/it takes \d+ % of the turn/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Log/ })).toHaveCount(0)

  // It settles: an hour later it is flat, and once it is brought back it falls less in the hour after.
  const flat = async () => Math.abs(Number((/−(\d+\.\d)/.exec(await heard.innerText()) ?? [])[1]))
  await page.getByRole('button', { name: 'An hour later' }).click()
  await expect.poll(flat).toBeGreaterThan(10)
  await page.waitForTimeout(600)
  const first = await flat()
  await turn.click()
  await expect(inTune).toBeVisible()
  await page.waitForTimeout(600)
  await page.getByRole('button', { name: 'An hour later' }).click()
  await expect.poll(flat).toBeGreaterThan(4)
  await page.waitForTimeout(600)
  expect(await flat()).toBeLessThan(first)

  await page.getByLabel('Degrees').fill('-3000')
  await page.getByRole('button', { name: 'Turn and pluck' }).click()
  await expect(page.getByText('It is slack, and only flaps. Turn it further.')).toBeVisible()
  await page.getByLabel('Degrees').fill('3000')
  await page.getByRole('button', { name: 'Turn and pluck' }).click()
  await expect(page.getByText('It broke: it was turned beyond its strength.')).toBeVisible()
  await page.getByRole('button', { name: 'Put on another' }).click()
  await expect(page.getByRole('button', { name: 'Pluck it' })).toBeVisible()
})

test('a microphone is heard, what it reads is logged once, and can be undone', async ({
  page: quiet,
  baseURL,
}) => {
  await quiet.goto(`/instruments/lovage/tune?string=${STRING}`)
  const target = Number(/To ([\d.]+) Hz/.exec(await quiet.locator('main').innerText())?.[1])
  const voice = { hz: target * 2 ** (-80 / 1200), inharmonicity: 1e-4, loss: 1.4, quality: 420 }
  const samples = new Float64Array(2 * RATE)
  const random = seeded(3)
  addPluck(samples, RATE, { voice, at: 0.2, loudness: 0.4 }, 0.3 * RATE, random)
  for (let i = 0; i < samples.length; i += 1) samples[i] = (samples[i] as number) + 1e-3 * (random() - 0.5)
  await withMicrophone(samples, baseURL!, async (page) => {
    await page.goto(`/instruments/lovage/tune?string=${STRING}`)
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByRole('status', { name: 'What is heard' })).toContainText(/−(79|80)\.\d/, {
      timeout: 15_000,
    })
    // The sound comes again as it was: a turn that is said to have been made did not raise it.
    await page.getByRole('button', { name: /^I turned it/ }).click()
    await expect(page.getByText('That turn should have raised it more.')).toBeVisible({ timeout: 15_000 })
    await page.getByRole('button', { name: 'Stop listening' }).click()
    await page.getByRole('button', { name: /^Log −(79|80)\.\d cents$/ }).click()
    await expect(page.getByText(/cents logged/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('Undone.')).toBeVisible()
  })
})

test('without a microphone the page says so, and the rest of it works', async ({ page }) => {
  await page.goto(`/instruments/lovage/tune?string=${STRING}`)
  await page.getByRole('button', { name: 'Listen', exact: true }).click()
  await expect(page.getByText(/type the cents/)).toBeVisible()
  await page.getByRole('button', { name: 'Pluck it' }).click()
  await expect(page.getByRole('status', { name: 'What is heard' })).toContainText('semitones')
})

test('a string that sounds false is told after three plucks, and one press notes it for the next look', async ({
  baseURL,
}) => {
  const voice = { hz: 196 * 2 ** (-1 / 12), inharmonicity: 1e-4, loss: 1.4, quality: 420 }
  const random = seeded(5)
  // A lump a third of the way along slows the partials that swing there.
  const samples = new Float64Array(3 * RATE)
  for (const { n, hz, decay, amplitude } of partialsOf({ voice, at: 0.22, loudness: 0.4 }, RATE)) {
    const turn = (2 * Math.PI * hz * 2 ** ((-25 * Math.sin(n * Math.PI * 0.31) ** 2) / 1200)) / RATE
    const from = 0.3 * RATE
    for (let i = from; i < samples.length; i += 1)
      samples[i] =
        (samples[i] as number) + amplitude * Math.exp((-decay * (i - from)) / RATE) * Math.sin(turn * i)
  }
  for (let i = 0; i < samples.length; i += 1) samples[i] = (samples[i] as number) + 1e-3 * (random() - 0.5)
  await withMicrophone(samples, baseURL!, async (page) => {
    await page.goto(`/instruments/lovage/tune?string=${STRING}`)
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    const told = page.getByRole('status', { name: 'A false tone' })
    await expect(told).toContainText(/In three plucks its partial \d+ stood/, { timeout: 30_000 })
    await page.getByRole('button', { name: 'Note that it is false' }).click()
    await expect(page.getByText('Noted: it sounds false.').first()).toBeVisible()
    await expect(told).toBeHidden()
    await page.goto(`/instruments/lovage/inspection?string=${STRING}`)
    await expect(page.getByRole('button', { name: /^False tone/ })).toHaveAttribute('aria-pressed', 'true')
  })
})
