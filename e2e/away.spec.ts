/** An open job goes on while the house does not answer, and what was done meanwhile comes to it in order when it does. */
import Database from 'better-sqlite3'
import type { APIRequestContext, Page } from '@playwright/test'
import path from 'node:path'
import { keptPages } from './kept-pages'
import { expect, test, type Served } from './served'

test.use({ copy: 'away', viewport: { width: 390, height: 844 } })
test.describe.configure({ mode: 'serial' })

async function begin(page: Page, request: APIRequestContext, instrument: string, string: number) {
  const answer = await request.post('/api/breaks', { data: { instrument, string, site: 'mid-length' } })
  const { jobId } = (await answer.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  return jobId
}
function rows<Row>({ folder }: Served, sql: string, ...of: number[]): readonly Row[] {
  const db = new Database(path.join(folder, 'taut-pinset.sqlite'), { readonly: true })
  try {
    return db.prepare(sql).all(...of) as Row[]
  } finally {
    db.close()
  }
}
const bar = (page: Page) => page.getByRole('status', { name: 'What waits for the house' })

test('steps are ticked and a gauge is measured while the house is away, the page is opened anew, and all of it arrives in order', async ({
  page,
  request,
  served,
}) => {
  const jobId = await begin(page, request, 'lovage', 14)
  const [steps, card] = [`/jobs/${jobId}/steps`, `/jobs/${jobId}/card`]
  await page.goto(steps)
  await expect.poll(() => keptPages(page)).toEqual([card, `/jobs/${jobId}/log`, steps])
  const title = page.locator('section[aria-live="polite"]').getByRole('heading', { level: 2 })
  const last = rows<{ id: number }>(served, 'SELECT max(id) AS id FROM action')[0]?.id as number
  let ticked: (string | null)[] = []
  await served.away(async () => {
    await page.keyboard.press('PageDown')
    await page.keyboard.press('PageDown')
    await page.keyboard.press('PageDown')
    await expect(title).toHaveText('Check the new string')
    await page.getByRole('textbox', { name: /Gauge as measured/ }).fill('1.11')
    await page.keyboard.press('Enter')
    await expect(bar(page)).toContainText('4 things wait here')
    await bar(page).getByText('Go on').click()
    ticked = await bar(page).getByRole('listitem').allTextContents()
    // The phone wanted its memory meanwhile.
    await page.reload()
    await expect(title).toHaveText('Check the new string')
    await expect(page.getByRole('textbox', { name: /Gauge as measured/ })).toHaveValue('1.11')
    await page.keyboard.press('PageDown')
    await expect(bar(page)).toContainText('5 things wait here')
    // Its knot is drawn too, though nobody looked at it before.
    await page.goto(steps)
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.getByRole('button', { name: /^\d+ Tie/ }).click()
    await expect(page.getByText('Move 1 of')).toBeVisible()
    await expect(page.locator('figure canvas, figure svg').first()).toBeVisible()
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto(card)
    await expect(page.getByRole('article', { name: 'Job card' })).toBeVisible()
    // Nothing else is kept, and that is said, with the way back.
    await page.goto('/stores')
    await expect(page.getByRole('heading', { name: 'The house does not answer' })).toBeVisible()
    await page.getByRole('link', { name: /^Steps/ }).click()
    await expect(title).not.toHaveText('Check the new string')
  })
  await expect(bar(page).getByText('The house does not answer.')).toBeHidden({ timeout: 20_000 })
  const came = () =>
    rows<{ kind: string; at: number }>(served, 'SELECT kind, at FROM action WHERE id > ? ORDER BY id', last)
  await expect.poll(() => came().map(({ kind }) => kind)).toEqual(['step', 'step', 'step', 'measure', 'step'])
  expect(ticked).toHaveLength(4)
  // Each stands at the time it was done, to the second, not when it came: pages were opened between the last two.
  const [, , , measured, tick] = came().map(({ at }) => at) as [0, 0, 0, number, number]
  expect(tick - measured).toBeGreaterThanOrEqual(1000)
  await page.reload()
  await expect(title).not.toHaveText('Check the new string')
})

test('what another did meanwhile stays, and whoever was away is told', async ({ page, request, served }) => {
  const jobId = await begin(page, request, 'lovage', 9)
  await page.goto(`/jobs/${jobId}/steps`)
  await expect.poll(() => keptPages(page)).toContain(`/jobs/${jobId}/steps`)
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('PageDown')
  await expect(page.getByRole('textbox', { name: /Gauge as measured/ })).toBeVisible()
  await expect.poll(() => rows(served, 'SELECT * FROM job_step WHERE job_id = ?', jobId).length).toBe(3)
  await page.context().setOffline(true)
  await page.getByRole('textbox', { name: /Gauge as measured/ }).fill('0.99')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Done, go on' }).click()
  await expect(bar(page)).toContainText('2 things wait here')
  const measured = await request.post(`/api/jobs/${jobId}/measures`, {
    data: { what: 'gauge', unit: 'mm', text: '1.02' },
  })
  expect(measured.status()).toBe(200)
  await page.context().setOffline(false)
  const told = page.getByRole('alert').filter({ hasText: 'Not saved' })
  await expect(told).toContainText(
    'Not saved: Gauge as measured: 0.99 mm. Meanwhile 1.02 mm was measured for it. Look which is right, and type it again.',
  )
  await expect.poll(() => rows(served, 'SELECT * FROM job_step WHERE job_id = ?', jobId).length).toBe(4)
  await page.reload()
  await told.getByRole('button', { name: 'I have read it' }).click()
  await expect(told).toBeHidden()
})

test('a job that is over is no longer kept, and only one is', async ({ page, request }) => {
  const [one, other] = [await begin(page, request, 'chervil', 3), await begin(page, request, 'chervil', 5)]
  await page.goto(`/jobs/${one}/steps`)
  await expect
    .poll(() => keptPages(page))
    .toEqual([`/jobs/${one}/card`, `/jobs/${one}/log`, `/jobs/${one}/steps`])
  await page.goto(`/jobs/${other}/steps`)
  await expect
    .poll(() => keptPages(page))
    .toEqual([`/jobs/${other}/card`, `/jobs/${other}/log`, `/jobs/${other}/steps`])
  await page.goto(`/jobs/${other}/log`)
  await page.getByRole('button', { name: /Log/ }).last().click()
  await page.waitForURL('**/done')
  await expect.poll(() => keptPages(page)).toEqual([])
})

test('a reading that was taken while the house was away comes to it, by whoever took it', async ({
  page,
  served,
}) => {
  await page.goto('/house')
  await page.getByLabel('People who work here').fill('Tansy\nRue')
  await page.getByRole('button', { name: 'Keep these settings' }).click()
  await expect(page.getByText('The house’s settings are changed.')).toBeVisible()
  await page.goto('/')
  const bench = page.getByLabel('Who is at the bench')
  await bench.selectOption('Tansy')
  const before = rows<{ n: number }>(served, 'SELECT count(*) AS n FROM cents_reading')[0]?.n as number
  await expect(bar(page)).toBeAttached()
  await page.context().setOffline(true)
  await page
    .getByLabel(/^Cents read on/)
    .first()
    .fill('-9')
  await page
    .getByRole('button', { name: /^Log the reading/ })
    .first()
    .click()
  await expect(bar(page)).toContainText('one thing waits here')
  await bench.selectOption('Rue')
  await page.context().setOffline(false)
  await expect
    .poll(() => rows<{ n: number }>(served, 'SELECT count(*) AS n FROM cents_reading')[0]?.n, {
      timeout: 20_000,
    })
    .toBe(before + 1)
  const [last] = rows<{ by: string }>(served, 'SELECT by FROM action ORDER BY id DESC LIMIT 1')
  expect(last?.by).toBe('Tansy')
})

test('a phone is told what it needs to put it among its apps', async ({ page, request }) => {
  await page.goto('/')
  const link = page.locator('link[rel="manifest"]')
  const manifest = (await (await request.get((await link.getAttribute('href')) as string)).json()) as {
    display: string
    icons: readonly { src: string; sizes: string }[]
  }
  expect(manifest.display).toBe('standalone')
  for (const { src, sizes } of manifest.icons) {
    const icon = (await (await request.get(src)).body()).subarray(16, 24)
    expect(`${icon.readUInt32BE(0)}x${icon.readUInt32BE(4)}`).toBe(sizes)
  }
})
