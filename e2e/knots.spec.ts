/** Knots: tied before the eye in space or as drawings, by keys, from inside the box, for the left hand, on paper, and for a job's own string. */
import type { Page } from '@playwright/test'
import { expect, test } from './served'

const next = (page: Page) => page.getByRole('button', { name: 'Next', exact: true })

const byCrossings = (page: Page) => page.getByRole('button', { name: 'Crossing by crossing' }).click()

test('a knot is tied move by move, with the hand that holds marked, for either hand', async ({ page }) => {
  await page.goto('/knots?knot=two-loop,%20open%20bight')
  const sheet = page.getByRole('region', { name: 'two-loop, open bight' })
  await expect(sheet).toContainText('Move 1 of 7')
  await expect(sheet).toContainText('Lay the end to the left.')
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('PageDown')
  await expect(sheet).toContainText(
    'Lay the right loop over the U, its crossing inward. Thumb on the crossing.',
  )
  await expect(sheet).toContainText('R right hand holds: thumb')
  await page.getByRole('button', { name: 'For the left hand' }).click()
  await expect(sheet).toContainText('Lay the left loop over the U, its crossing inward.')
  await expect(sheet).toContainText('L left hand holds: thumb')
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('PageDown')
  await expect(sheet).toContainText('Draw the crossed loop down round the U: feed, wrap, pull.')
  await expect(next(page)).toBeDisabled()
})

test('its crossings are gone through by keys, each stage in words that stand alone', async ({ page }) => {
  await page.goto('/knots?knot=slip%20loop')
  const sheet = page.getByRole('region', { name: 'slip loop' })
  await byCrossings(page)
  await expect(sheet).toContainText('Stage 1 of 5')
  await page.keyboard.press('ArrowRight')
  await expect(sheet).toContainText('Stage 2 of 5')
  await expect(sheet).toContainText('The working end passes in front of the standing part.')
  await page.getByRole('button', { name: 'From inside the box' }).click()
  await expect(sheet).toContainText('The working end passes behind the standing part.')
  // The words are turned with the eye.
  await page.keyboard.press('PageDown')
  await expect(sheet).toContainText(
    'put that through the first from in front, so that it comes out away from you',
  )
  for (let i = 0; i < 2; i += 1) await page.keyboard.press('PageDown')
  await expect(sheet).toContainText('Stage 5 of 5')
  await expect(next(page)).toBeDisabled()
  await expect(sheet).toContainText('what the standing part draws tight on the bight is an overhand', {
    ignoreCase: true,
  })
  await page.getByRole('button', { name: 'For the left hand' }).click()
  await expect(sheet).toContainText('for the left hand')
})

test('in space it is tied before the eye, and turned by dragging and by keys', async ({ page }) => {
  await page.goto('/knots?knot=two-loop,%20crossed')
  const player = page.getByRole('group', { name: /Turn it by dragging/ })
  const picture = async () => (await player.screenshot()).toString('base64')
  await expect(player.locator('canvas')).toBeVisible()
  await expect(player.getByText('short end', { exact: true })).toBeVisible()
  // Until nothing moves any more.
  const settled = async () => {
    let last = ''
    await expect(async () => {
      const now = await picture()
      const same = now === last
      last = now
      expect(same).toBe(true)
    }).toPass({ intervals: [700] })
    return last
  }
  const first = await settled()
  await next(page).click()
  const second = await settled()
  expect(second).not.toBe(first)
  const box = await player.boundingBox()
  if (!box) throw new Error('the player has no place')
  await page.mouse.move(box.x + 200, box.y + 200)
  await page.mouse.down()
  await page.mouse.move(box.x + 320, box.y + 230, { steps: 6 })
  await page.mouse.up()
  const turned = await settled()
  expect(turned).not.toBe(second)
  await player.focus()
  await page.keyboard.press('Shift+ArrowLeft')
  expect(await settled()).not.toBe(turned)
  // Turning is not stepping.
  await expect(page.getByText('Move 2 of 6')).toBeVisible()
})

test('where there is no WebGL the same stage is a drawing', async ({ page }) => {
  await page.addInitScript(() => {
    const given = HTMLCanvasElement.prototype.getContext
    HTMLCanvasElement.prototype.getContext = function (
      this: HTMLCanvasElement,
      kind: string,
      ...rest: unknown[]
    ) {
      return kind.startsWith('webgl')
        ? null
        : (given as (...all: unknown[]) => unknown).call(this, kind, ...rest)
    } as typeof given
  })
  await page.goto('/knots?knot=third%20loop')
  await expect(
    page.getByRole('img', { name: /^Move 1 of third loop: Lay the end to the left/ }),
  ).toBeVisible()
  await expect(page.locator('canvas')).toHaveCount(0)
})

test('every fastening of both ends can be chosen, and has its stages in words and as a drawing', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await page.goto('/knots')
  const all = await page.getByRole('navigation', { name: 'Knots' }).getByRole('link').allTextContents()
  expect(all).toHaveLength(22)
  for (const name of all) {
    await page.goto(`/knots?knot=${encodeURIComponent(name)}`)
    const sheet = page.getByRole('region', { name, exact: true })
    // Until the page listens.
    await expect(async () => {
      const flat = page.getByRole('button', { name: 'As a drawing' })
      if (await flat.isVisible()) await flat.click()
      await expect(page.getByRole('button', { name: 'In space' })).toBeVisible({ timeout: 1000 })
    }).toPass()
    const last = Number(
      /of (\d)/.exec((await sheet.getByText(/^(?:Stage|Move) 1 of \d$/).textContent()) ?? '')?.[1],
    )
    for (let i = 2; i <= last; i += 1) {
      await next(page).click()
      await expect(sheet.getByText(new RegExp(`^(?:Stage|Move) ${i} of \\d$`))).toBeVisible()
    }
    await expect(sheet.getByRole('img', { name: new RegExp(`^(?:Stage|Move) ${last} of `) })).toBeVisible()
    await expect(next(page)).toBeDisabled()
  }
})

test('all stages print on one page with the common mistakes, and a knot that is not there has no page', async ({
  page,
}) => {
  for (const [knot, stages] of [
    ['third loop', 9],
    ['slip loop', 8],
    ['tail tucked, after half a turn', 5],
  ] as const) {
    await page.goto(`/knots?knot=${encodeURIComponent(knot)}`)
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('img', { name: /^Stage \d$/ })).toHaveCount(stages)
    await expect(next(page)).toBeHidden()
    for (const format of ['A4', 'Letter'] as const)
      for (const landscape of [false, true]) {
        const pdf = await page.pdf({
          format,
          landscape,
          margin: { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' },
        })
        expect([format, landscape, pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length]).toEqual([
          format,
          landscape,
          1,
        ])
      }
    // As wide as the paper: a column a hand wide would put one stage under the other.
    await page.setViewportSize({ width: 718, height: 1010 })
    const [first, second] = await Promise.all(
      [1, 2].map((n) => page.getByRole('img', { name: `Stage ${n}`, exact: true }).boundingBox()),
    )
    expect(second!.x).toBeGreaterThan(first!.x + 150)
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.emulateMedia({ media: 'screen' })
  }
  expect((await page.goto('/knots?knot=granny'))?.status()).toBe(404)
  expect((await page.goto('/knots?job=99999'))?.status()).toBe(404)
})

test('a job’s knot step ties its own string; another knot, or one measured, changes what is cut', async ({
  page,
  request,
}) => {
  const answer = await request.post('/api/breaks', {
    data: { instrument: 'lovage', string: 29, site: 'knot' },
  })
  const { jobId } = (await answer.json()) as { jobId: number }
  await page.goto(`/jobs/${jobId}/coil`)
  await page.getByRole('button', { name: 'Cut from this' }).first().click()
  await page.waitForURL('**/figures')
  await page.goto(`/jobs/${jobId}/steps`)
  await page
    .getByRole('list', { name: 'All steps' })
    .getByRole('button', { name: /Tie the end knot/ })
    .click()
  await expect(page.getByRole('group', { name: /^Move 1 of the two-loop, crossed knot/ })).toBeVisible()
  await page.getByRole('button', { name: 'Next move' }).click()
  await expect(page.getByText(/^Move 2 of \d$/)).toBeVisible()
  const takes = page.getByText('Knot and tag', { exact: true }).locator('..')
  await expect(takes).toContainText('69')
  await page.getByRole('link', { name: 'From either side, and crossing by crossing' }).click()
  const choices = page.getByRole('region', { name: 'Which knot for this string' })
  await expect(choices.getByRole('listitem').filter({ hasText: /^two-loop, crossed(?!,)/ })).toContainText(
    'tied in this job',
  )
  const other = choices.getByRole('listitem').filter({ hasText: /^two-loop, open bight/ })
  await expect(other).toContainText('takes 65 mm')
  await other.getByRole('button', { name: 'Tie this one' }).click()
  await expect(other).toContainText('tied in this job')
  await page.goto(`/jobs/${jobId}/steps`)
  await page
    .getByRole('list', { name: 'All steps' })
    .getByRole('button', { name: /Tie the end knot/ })
    .click()
  await expect(
    page.getByText('Tie the two-loop knot with an open bight at the end without a label.'),
  ).toBeVisible()
  await expect(takes).toContainText('65')
  // One of the house's own: 40 mm of a string of 1 mm.
  await page.goto('/knots?knot=two-loop%2C%20open%20bight')
  const facts = page.getByRole('region', { name: 'What it takes' })
  await facts.getByLabel('String used').fill('4000')
  await facts.getByRole('button', { name: 'Keep it' }).click()
  await expect(facts.getByRole('alert')).toContainText('between 3 and 150 times its string’s gauge')
  await facts.getByLabel('String used').fill('40')
  await facts.getByRole('button', { name: 'Keep it' }).click()
  await expect(facts).toContainText('40.0 times its gauge, as you measured; worked out: 26.3')
  await page.goto(`/jobs/${jobId}/steps`)
  await page
    .getByRole('list', { name: 'All steps' })
    .getByRole('button', { name: /Tie the end knot/ })
    .click()
  await expect(takes).toContainText('89')
})
