/** What happens on the way: values measured, things gone wrong, several strings, layers, habits, and what is printed. */
import type { APIRequestContext, Page } from '@playwright/test'
import { expect, test } from './served'

test.use({ copy: 'on-the-way' })
test.describe.configure({ mode: 'serial' })

/** A job on a string, with the first coil that fits. */
async function begin(
  page: Page,
  request: APIRequestContext,
  instrument: string,
  string: number,
  site = 'mid-length',
): Promise<number> {
  const answer = await request.post('/api/breaks', { data: { instrument, string, site } })
  const { jobId } = (await answer.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  return jobId
}
const step = (page: Page, title: RegExp) =>
  page.getByRole('list', { name: 'All steps' }).getByRole('button', { name: title }).click()

test('what is measured in the steps stands in the log, also after a reload', async ({ page, request }) => {
  const jobId = await begin(page, request, 'lovage', 20)
  await page.goto(`/jobs/${jobId}/steps`)
  await step(page, /Check the new string/)
  const gauge = page.getByRole('textbox', { name: /Gauge as measured/ })
  await gauge.fill('bent')
  await gauge.press('Enter')
  await expect(page.getByText(/Expected a length such as/)).toBeVisible()
  await gauge.fill('1.11')
  await gauge.press('Enter')
  await expect(page.getByLabel('kept')).toBeVisible()
  await step(page, /^11 Wind|Wind$/)
  await page.getByRole('textbox', { name: /Wraps as counted/ }).fill('3.75')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('kept')).toBeVisible()
  await page.reload()
  await page.goto(`/jobs/${jobId}/log`)
  await expect(page.getByRole('textbox', { name: /Gauge of the new string/ })).toHaveValue('1.11')
  await expect(page.getByRole('spinbutton', { name: /Wraps on the pin/ })).toHaveValue('3.75')
})

test('the calliper types into the step', async ({ page, request }) => {
  const jobId = await begin(page, request, 'lovage', 19)
  await page.goto(`/jobs/${jobId}/steps`)
  await step(page, /Check the new string/)
  await page.getByRole('textbox', { name: /Gauge as measured/ }).focus()
  await page.getByRole('button', { name: 'Calliper' }).click()
  await page.getByRole('slider', { name: 'Jaws' }).fill('1.09')
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.getByRole('textbox', { name: /Gauge as measured/ })).toHaveValue('1.09')
  await expect(page.getByLabel('kept')).toBeVisible()
})

test('steps done while the program is away are kept, and come back with it', async ({
  page,
  request,
  served,
}) => {
  const jobId = await begin(page, request, 'lovage', 14)
  await page.goto(`/jobs/${jobId}/steps`)
  await page.context().setOffline(true)
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  await expect(page.getByText('The house does not answer.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Check the new string' })).toBeVisible()
  await page.context().setOffline(false)
  await served.restart()
  await page.reload()
  await expect
    .poll(async () => {
      await page.reload()
      return page.locator('section[aria-live="polite"]').getByRole('heading', { level: 2 }).textContent()
    })
    .toBe('Check the new string')
})

test('an anchor that falls out leads back to its step, and is in the history', async ({ page, request }) => {
  const jobId = await begin(page, request, 'lovage', 11)
  await page.goto(`/jobs/${jobId}/steps`)
  for (let i = 0; i < 9; i += 1) await page.keyboard.press('PageDown')
  await expect(page.getByRole('heading', { name: 'Thread the pin and leave the slack' })).toBeVisible()
  await page.getByRole('button', { name: 'Something went wrong' }).click()
  await page.getByRole('button', { name: 'The anchor fell out' }).click()
  await expect(page.getByText('From inside, push the knot away from the board')).toBeVisible()
  await page.getByRole('button', { name: 'Log it, and go back' }).click()
  await expect(page.getByRole('heading', { name: 'Seat the knot against the board' })).toBeVisible()
  await page.goto('/history')
  await expect(page.getByText('The anchor fell out: 2nd-octave D of Lovage')).toBeVisible()
})

test('a string that breaks while it is tuned costs its length, and a coil is chosen again', async ({
  page,
  request,
}) => {
  const jobId = await begin(page, request, 'chervil', 3)
  await page.goto(`/jobs/${jobId}/steps`)
  await step(page, /Up to pitch/)
  await page.getByRole('button', { name: 'Something went wrong' }).click()
  await page.getByRole('button', { name: 'It broke', exact: true }).click()
  await expect(page.getByText(/It cost/)).toBeVisible()
  await page.getByRole('button', { name: 'Log it, and choose a coil' }).click()
  await page.waitForURL('**/coil')
  await expect(page.getByText('Logged: it broke.')).toBeVisible()
})

test('several strings make one job: their steps in one list, logged one after another', async ({
  page,
  request,
}) => {
  const jobId = await begin(page, request, 'sorrel', 20)
  await page.goto(`/jobs/${jobId}/figures`)
  const together = page.getByRole('region', { name: 'Strings of this job' })
  await together.getByRole('textbox').fill('99')
  await together.getByRole('button', { name: 'Take in' }).click()
  await expect(together.getByText('Strings are numbered 1 to 36; “99” is not among them.')).toBeVisible()
  await together.getByRole('textbox').fill('21')
  await together.getByRole('button', { name: 'Take in' }).click()
  await expect(together.getByRole('link')).toHaveCount(2)
  await together.getByRole('link', { name: /^21/ }).click()
  await page.waitForURL('**/coil')
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.getByRole('link', { name: 'Start the fitting' }).click()
  await page.waitForURL('**/steps')
  const list = page.getByRole('list', { name: 'All steps' })
  await expect(list).toContainText('Make ready')
  await expect(list.getByText('· 20').first()).toBeVisible()
  await expect(list.getByText('· 21').first()).toBeVisible()
  for (let last = ''; last !== 'Log it';) {
    last =
      (await page.locator('section[aria-live="polite"]').getByRole('heading', { level: 2 }).textContent()) ??
      ''
    await page.keyboard.press('PageDown')
  }
  await page.waitForURL('**/log')
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await page.waitForURL('**/done')
  await page.getByRole('link', { name: /^Go on: string/ }).click()
  await page.waitForURL('**/steps')
  await expect(page.getByRole('heading', { name: 'Log it' })).toBeVisible()
})

test('a covered string is priced three ways, and its foot can be redone', async ({ page, request }) => {
  await begin(page, request, 'yarrow', 7)
  const reached = page.getByRole('region', { name: 'How it is reached' })
  await expect(reached.getByText('the least')).toHaveCount(1)
  await expect(reached).toContainText('New: 7. Off and back: 4, 5, 6.')
  await reached.getByRole('button', { name: 'Do it this way' }).first().click()
  await expect(page.getByRole('region', { name: 'Strings of this job' }).getByRole('link')).toHaveCount(4)
  await expect(reached.getByText('This way', { exact: true })).toBeVisible()
})

test('a habit changed for one job changes its figures alone, and goes back', async ({ page, request }) => {
  const jobId = await begin(page, request, 'borage', 3)
  const wraps = page.getByRole('region', { name: 'Wraps on the pin' })
  await page.getByRole('link', { name: 'Otherwise for this job' }).click()
  await page.getByRole('radio', { name: /in line with the bridge pin/ }).click()
  await expect(page.getByText('How many wraps: in line with the bridge pin.')).toBeVisible()
  await page.goto(`/jobs/${jobId}/figures`)
  await expect(wraps).toContainText(/Wanted: .* to bring it in line with its bridge pin/)
  await page.goto('/house/habits')
  await expect(page.getByRole('radio', { name: /a number of wraps/ })).toHaveAttribute('aria-checked', 'true')
  await page.goto(`/jobs/${jobId}/habits`)
  await page.getByRole('button', { name: 'As the instrument does' }).click()
  await expect(page.getByRole('radio', { name: /a number of wraps/ })).toHaveAttribute('aria-checked', 'true')
})

test('an instrument has habits of its own', async ({ page }) => {
  await page.goto('/instruments/borage')
  await page.getByRole('link', { name: 'Habits' }).click()
  await page.getByRole('radio', { name: /^its number/ }).click()
  await expect(page.getByText('Which name leads: its number.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Wraps wanted at pitch' }).fill('12')
  await page.getByRole('button', { name: 'Keep it' }).first().click()
  await expect(page.getByText(/Wraps: expected a number from 1 to 8/)).toBeVisible()
})

test('the card prints with a ruler of 100 mm on one page, and every move on its back', async ({
  page,
  request,
}) => {
  const jobId = await begin(page, request, 'lovage', 23)
  await page.goto(`/jobs/${jobId}/card`)
  await page.emulateMedia({ media: 'print' })
  const ruler = page.getByRole('img', { name: /A ruler of 100 mm/ })
  await expect(ruler).toBeVisible()
  expect((await ruler.boundingBox())!.width).toBeCloseTo((106 / 25.4) * 96, 0)
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  const pdf = await page.pdf({
    format: 'A4',
    printBackground: true,
    margin: { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' },
  })
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2)
  const back = page.getByRole('region', { name: 'Every move' })
  await expect(back.getByRole('img', { name: 'An arrow, clockwise' }).first()).toBeVisible()
  await expect(back.getByText('Put the end through the string hole.')).toBeVisible()
})

test('who has done it before sees six lines; each opens to its moves, and the next time it is so again', async ({
  page,
  request,
}) => {
  const jobId = await begin(page, request, 'lovage', 24)
  await page.goto(`/jobs/${jobId}/steps`)
  await page.getByRole('button', { name: 'Six lines' }).click()
  const lines = page.getByRole('list', { name: 'In six lines' }).locator('> li')
  await expect(lines).toHaveCount(6)
  const first = lines.first()
  await expect(first).toHaveAttribute('aria-current', 'step')
  await expect(first.getByText('Put every pedal in flat, the top notch.')).toBeHidden()
  await first.getByText('Every move').click()
  await expect(first.getByText('Put every pedal in flat, the top notch.')).toBeVisible()
  await first.getByRole('button', { name: 'Done' }).click()
  await expect(first.getByRole('button', { name: 'Done' })).toBeDisabled()
  await expect(lines.nth(1)).toHaveAttribute('aria-current', 'step')
  await page.waitForLoadState('networkidle')
  await expect(lines.nth(1)).toHaveAttribute('aria-current', 'step')
  await page.reload()
  await expect(lines.nth(1)).toHaveAttribute('aria-current', 'step')
  await expect(lines.nth(3).getByText('Wraps at pitch')).toBeVisible()
  await page.getByRole('button', { name: 'Every move', exact: true }).click()
  await expect(page.getByText(/^Step 2 of \d+$/)).toBeVisible()
})

test('in the interval: what can wait is put off, the minutes stretch the string, and it is said when to touch it up', async ({
  page,
}) => {
  await page.goto('/instruments/lovage?string=25')
  await page.getByRole('button', { name: 'This string broke' }).filter({ visible: true }).click()
  await page.getByRole('radio').first().click()
  await page.getByLabel('How long have you got?').selectOption('10 minutes: it is the interval')
  await page.getByRole('button', { name: 'Log the break' }).click()
  await page.waitForURL('**/coil')
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.goto(page.url().replace('figures', 'steps'))
  const panel = page.getByRole('region', { name: 'In the interval' })
  await expect(panel.getByText('In the interval: 10 minutes')).toBeVisible()
  await expect(panel.getByText('Later: Look inside.')).toBeVisible()
  const all = page.getByRole('list', { name: 'All steps' })
  await expect(all.getByRole('button', { name: /Look inside/ })).toHaveCount(0)
  await expect(all.getByRole('button', { name: /Move it far aside/ })).toBeVisible()
  await expect(panel.getByText(/cents sharp/)).toBeVisible()
  await panel.getByRole('button', { name: 'No hurry after all' }).click()
  await expect(panel).toHaveCount(0)
  await expect(all.getByRole('button', { name: /Look inside/ })).toBeVisible()
})

test('what was put off is asked for on the page of the fitting and on Today, until it is done', async ({
  page,
  request,
}) => {
  const jobId = await begin(page, request, 'lovage', 28)
  for (const one of ['take-off', 'wind', 'to-pitch', 'trim', 'prove'])
    await request.post(`/api/jobs/${jobId}/steps`, { data: { step: one, done: true } })
  await page.goto(`/jobs/${jobId}/log`)
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await page.waitForURL('**/done')
  const left = page.getByRole('region', { name: 'Left for later' })
  await expect(left.getByRole('listitem')).toHaveText([/^Look inside/])
  await page.goto('/')
  await page
    .getByRole('region', { name: 'Left for later' })
    .getByRole('link', { name: /Lovage/ })
    .click()
  await page.waitForURL(`**/jobs/${jobId}/done`)
  await left.getByRole('button', { name: 'Done: Look inside' }).click()
  await expect(left).toHaveCount(0)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Retune now' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Left for later' })).toHaveCount(0)
})

test('the report tells the owner what was done and what is to come', async ({ page, request }) => {
  const jobId = await begin(page, request, 'fennel', 12, 'knot')
  await page.goto(`/jobs/${jobId}/log`)
  await page.getByRole('button', { name: 'Log the fitting' }).click()
  await page.waitForURL('**/done')
  await page.getByRole('link', { name: 'Service report' }).click()
  const report = page.getByRole('article', { name: 'Service report' })
  await expect(report).toContainText('The old one broke at the knot.')
  await expect(report).toContainText('tune again')
  await expect(report).toContainText('String used')
})

test('a sound string is replaced before it breaks', async ({ page }) => {
  await page.goto('/instruments/lovage?string=26')
  await page.getByRole('button', { name: 'Replace it' }).click()
  await page.waitForURL('**/coil')
  await expect(page.getByText('String 26 is to be replaced.')).toBeVisible()
})

test('on the bench the key, the bow and the tail are dragged', async ({ page }) => {
  await page.goto('/instruments/lovage/bench?string=22')
  const comes = page.getByRole('region', { name: 'What it comes to' })
  await expect(comes).toContainText('at its pitch')
  const drag = async (name: string, dx: number, dy: number) => {
    const box = (await page.locator(`[data-handle="${name}"]`).boundingBox())!
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 6 })
    await page.mouse.up()
  }
  const cut = async () => Number(/To cut\s*(\d+)/.exec((await comes.textContent()) ?? '')?.[1])
  const before = await cut()
  await drag('tail', 30, 0)
  expect(await cut()).toBeGreaterThan(before + 5)
  await drag('slack', 0, 25)
  await expect(comes).toContainText(/Wraps\s*(3\.[2-9]|[4-9])/)
  await drag('key', -40, -30)
  await expect(comes).not.toContainText('at its pitch')
})
