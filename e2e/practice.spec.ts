/** Practice on three instruments of different families: every drill, each error teaching; kept, left half way, and without the house. */
import type { Page } from '@playwright/test'
import Database from 'better-sqlite3'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { keptPages } from './kept-pages'
import { expect, test, type Served } from './served'

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8')
const MAX_STAGES = 12

/** What axe finds serious on the page as it is. */
async function serious(page: Page): Promise<readonly string[]> {
  await page.evaluate(AXE)
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: { run: (o: object) => Promise<{ violations: { id: string; impact: string }[] }> }
    }
    const { violations } = await axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] })
    return violations.filter(({ impact }) => ['serious', 'critical'].includes(impact)).map(({ id }) => id)
  })
}

const rows = (served: Served, sql: string) => {
  const db = new Database(path.join(served.folder, 'taut-pinset.sqlite'), { readonly: true })
  const all = db.prepare(sql).all() as Record<string, unknown>[]
  db.close()
  return all
}
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true })
const onward = (page: Page) => page.getByRole('button', { name: /^(Next|How it went)$/ })

/** Answers whatever is asked as somebody would who has never seen it: looks, tries, and takes the first. */
async function answer(page: Page): Promise<void> {
  const asked = await kindOf(page)
  switch (asked) {
    case 'memory':
      await button(page, 'It is tied').click()
      for (let stage = 0; stage < MAX_STAGES && !(await onward(page).isVisible()); stage += 1)
        await button(page, stage === 1 ? 'Mine is otherwise' : 'Mine is the same').click()
      break
    case 'slack':
      await page.getByRole('slider').press('ArrowRight')
      await button(page, 'So much').click()
      break
    case 'raise':
      await page
        .getByRole('button', { name: /^Hear / })
        .first()
        .click()
      await button(page, '+10°').click()
      await button(page, 'It is at pitch').click()
      break
    case 'order':
      await takeUpInOrder(page)
      break
    case 'hear':
      await button(page, 'Hear both').click()
      await page.keyboard.press('1')
      break
    case 'pick':
      await page.keyboard.press('1')
  }
  await expect(onward(page)).toBeVisible()
}

async function kindOf(page: Page): Promise<'memory' | 'slack' | 'raise' | 'order' | 'hear' | 'pick'> {
  await expect(page.getByText(/^Question \d+ of \d+$/)).toBeVisible()
  const kinds = [
    ['memory', button(page, 'It is tied')],
    ['slack', button(page, 'So much')],
    ['raise', button(page, 'It is at pitch')],
    ['order', page.getByText('What comes first?')],
    ['hear', button(page, 'Hear both')],
  ] as const
  for (const [kind, by] of kinds) if (await by.isVisible()) return kind
  return 'pick'
}

/** One stage after the other, trying each that is left. */
async function takeUpInOrder(page: Page): Promise<void> {
  const left = page.getByRole('main').getByRole('list').last().getByRole('button')
  for (let round = 0; round < MAX_STAGES && !(await onward(page).isVisible()); round += 1) {
    const stages = await left.count()
    for (let i = 0; i < stages; i += 1) {
      await left.nth(i).click()
      if ((await left.count()) < stages || (await onward(page).isVisible())) break
    }
  }
}

for (const slug of ['lovage', 'chervil', 'yarrow'])
  test(`every drill on ${slug} is gone through by one who has never seen it; what was wrong is taught and kept`, async ({
    page,
    served,
  }) => {
    test.setTimeout(180_000)
    await page.setViewportSize({ width: 390, height: 844 })
    const before = rows(served, 'SELECT id FROM practice_answer').length
    await page.goto(`/practice?on=${slug}`)
    const drills = page.getByRole('region', { name: 'Drills' }).getByRole('link')
    const count = await drills.count()
    expect(count).toBe(slug === 'yarrow' ? 6 : 8)
    let answered = 0
    for (let drill = 0; drill < count; drill += 1) {
      await page.goto(`/practice?on=${slug}`)
      const title = await drills
        .nth(drill)
        .getByRole('strong')
        .or(drills.nth(drill).locator('strong'))
        .innerText()
      await drills.nth(drill).click()
      await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible()
      const [, all] = /of (\d+)/.exec(await page.getByText(/^Question 1 of \d+$/).innerText()) ?? []
      let wrong = 0
      for (let question = 1; question <= Number(all); question += 1) {
        await answer(page)
        if (question === 1) {
          expect([title, await serious(page)]).toEqual([title, []])
          const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
          expect([title, over]).toEqual([title, 0])
        }
        const told = page.locator('[aria-live=polite] p.text-lg').last()
        const isRight = await told.getByText('Right.', { exact: true }).isVisible()
        if (!isRight) wrong += 1
        // Right or wrong, there is something to learn.
        expect((await told.innerText()).length).toBeGreaterThan(25)
        await onward(page).click()
      }
      answered += Number(all)
      await expect(page.getByText(`${Number(all) - wrong} of ${all}`)).toBeVisible()
      await expect(page.getByText('It is kept, and can be undone in the history.')).toBeVisible()
      if (wrong > 0)
        await expect(page.getByRole('list', { name: 'What was mistaken' }).getByRole('listitem')).toHaveCount(
          wrong,
        )
    }
    expect(rows(served, 'SELECT id FROM practice_answer')).toHaveLength(before + answered)
    await page.goto('/practice')
    await expect(page.getByRole('table', { name: 'Drills, measured' }).getByRole('row')).not.toHaveCount(1)
    expect(await serious(page)).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0)
    await page.goto('/history')
    await expect(page.getByText(/^Practice: /).first()).toBeVisible()
  })

test('by keys alone: a choice by its number, then Enter', async ({ page }) => {
  await page.goto('/instruments/sorrel/which')
  await page.getByRole('link', { name: 'Practise it' }).click()
  for (let asked = 1; asked <= 8; asked += 1) {
    await expect(page.getByText(`Question ${asked} of 8`)).toBeVisible()
    await page.keyboard.press(String(1 + (asked % 2)))
    await expect(page.getByLabel('right', { exact: true })).toBeVisible()
    // A second answer changes nothing.
    await page.keyboard.press('2')
    await expect(onward(page)).toBeFocused()
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: 'Once more' }).click()
  await expect(page.getByText('Question 1 of 8')).toBeVisible()
})

test('a drill left half way is taken up where it was left, or left there, and nothing of it is lost', async ({
  page,
  served,
}) => {
  const kept = () => rows(served, "SELECT id FROM practice_answer WHERE card LIKE 'name:fennel%'").length
  const before = kept()
  await page.goto('/practice/name/fennel')
  for (let i = 0; i < 2; i += 1) {
    await answer(page)
    await onward(page).click()
  }
  const third = await page.getByRole('heading', { level: 2 }).first().innerText()
  await page.goto('/practice')
  await expect(page.getByText('Name it is half done: 2 of 8 answered.')).toBeVisible()
  await page.getByRole('link', { name: 'Go on with it' }).click()
  await expect(page.getByText('Question 3 of 8')).toBeVisible()
  await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText(third)
  expect(kept()).toBe(before)
  await page.goto('/practice')
  await page.getByRole('button', { name: 'Leave it there' }).click()
  await expect(page.getByText('What was answered is kept.')).toBeVisible()
  expect(kept()).toBe(before + 2)
  // Another drill sends what was half done in the one before.
  await page.goto('/practice/name/fennel')
  await answer(page)
  await onward(page).click()
  await page.goto('/practice/which/fennel')
  await expect.poll(kept).toBe(before + 3)
})

test('a drill that has begun goes on while the house is away, and is kept when it is back', async ({
  page,
  served,
}) => {
  const kept = () => rows(served, "SELECT id FROM practice_answer WHERE card LIKE 'which:bryony%'").length
  const before = kept()
  await page.goto('/practice/which/bryony')
  await expect.poll(() => keptPages(page)).toContain('/practice/which/bryony')
  await page.context().setOffline(true)
  await answer(page)
  await onward(page).click()
  await expect(page.getByText('Question 2 of 8')).toBeVisible()
  await page.reload()
  // Opened anew it goes on where it was.
  for (let question = 2; question <= 8; question += 1) {
    await expect(page.getByText(`Question ${question} of 8`)).toBeVisible()
    await answer(page)
    await onward(page).click()
  }
  await expect(
    page.getByText('It is kept on this device, and sent when the house answers again.'),
  ).toBeVisible()
  expect(kept()).toBe(before)
  await page.context().setOffline(false)
  await expect.poll(kept, { timeout: 30_000 }).toBe(before + 8)
})

test('before a job what was longest ago is offered; one old string is taken off and put back', async ({
  page,
  served,
}) => {
  const opened = await page.request.post('/api/jobs', { data: { instrument: 'bistort', string: 3 } })
  const { jobId } = (await opened.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await expect(page.getByText(/^You last tied “loop on a hitch pin” in May: two minutes\?$/)).toBeVisible()
  await page.getByRole('link', { name: 'Practise it' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Tie it' })).toBeVisible()
  await expect(page.getByText(/loop on a hitch pin/i).first()).toBeVisible()

  await page.goto('/practice?on=sorrel')
  await page.getByRole('button', { name: 'Take it off' }).click()
  await page.waitForURL(/jobs\/\d+\/steps/)
  const id = /jobs\/(\d+)/.exec(page.url())?.[1]
  await expect(page.getByRole('heading', { name: 'Make ready' })).toBeVisible()
  await page.goto('/practice?on=sorrel')
  await page
    .getByRole('region', { name: 'One old string' })
    .getByRole('link', { name: 'Go on with it' })
    .click()
  await page.waitForURL(`**/jobs/${id}/steps`)
  await page.goto(`/jobs/${id}/log`)
  await page.getByLabel(/Wraps/).first().fill('3')
  await page.getByRole('button', { name: /Log/ }).last().click()
  await page.waitForURL('**/done')
  expect(rows(served, `SELECT for_practice, same_string FROM job WHERE id = ${id}`)).toEqual([
    { for_practice: 1, same_string: 1 },
  ])
  expect(rows(served, 'SELECT aged_ms > 0 AS aged FROM fitted_string ORDER BY id DESC LIMIT 1')).toEqual([
    { aged: 1 },
  ])
})
