/** Wear: from Today to a sharp bridge pin, strings looked over by keys, and what to change and carry before a date. */
import { expect, test } from './served'

test('a newcomer finds Lovage’s sharp bridge pin, sees what it rests on, and logs the polish', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'What will break' }).click()
  await expect(page.getByRole('heading', { name: 'The year ahead' })).toBeVisible()
  await page
    .getByRole('region', { name: 'Look for a sharp edge' })
    .getByRole('link', { name: '2nd-octave C of Lovage' })
    .click()
  const place = page.getByRole('region', { name: 'At the bridge pin' })
  await expect(place).toContainText('sharper than its like, > 99 %')
  await expect(place).toContainText('4 broke there, where hardly any would be usual')
  await expect(page.getByRole('img', { name: 'Where strings broke: at the bridge pin 4' })).toBeVisible()
  await page.getByText('Why so much').click()
  await expect(page.getByText(/of \d+ such strings broke of themselves in this house/)).toBeVisible()
  await place.getByText('How, and who should').click()
  await expect(place).toContainText('for the maker or a repairer')
  await place.getByRole('button', { name: 'It has been polished' }).click()
  await expect(place).toContainText('since then none broke there. That it helped: 60 %')
})

test('the field is shown by any figure, on a scale that can be read off, and told in words', async ({
  page,
}) => {
  await page.goto('/instruments/lovage/wear?string=40')
  const told = page.getByRole('region', { name: 'The picked string' })
  const scale = page.getByRole('list', { name: 'What the marks stand for' }).getByRole('listitem')
  await expect(scale).toHaveCount(5)
  for (const [overlay, word] of [
    ['breaks', /How often a string broke here: 0/],
    ['age', /How long it has been on: .*(years|months)/],
    ['gauge', /Gauge: [\d.]+ mm/],
    ['tension', /Tension: \d+ N/],
    ['margin', /Share of its strength that it works at: \d+ %/],
    ['spare', /Whether the stores hold one: (none|there is one)/],
  ] as const) {
    await page.getByLabel('Show').selectOption(overlay)
    await expect(told).toContainText(word)
  }
  await page.getByLabel('Show').selectOption('material')
  await expect(scale).toHaveCount(0)
  const name = told.getByRole('heading', { level: 2 })
  const before = await name.innerText()
  await page.getByRole('slider', { name: 'String field of Lovage' }).press('ArrowRight')
  await expect(name).not.toHaveText(before)
})

test('strings are looked over by keys alone, and what was seen raises the chance', async ({ page }) => {
  const chance = async () => {
    await page.goto('/instruments/fennel/wear?string=2')
    const text = await page.getByText('% that it breaks within a year').innerText()
    return Number(/(\d+) %/.exec(text)?.[1])
  }
  const before = await chance()
  await page.goto('/instruments/fennel')
  await page.getByRole('link', { name: 'Wear', exact: true }).click()
  await page.getByRole('link', { name: 'Look the strings over' }).click()
  await expect(page.getByText(/0 looked at, \d+ to go/)).toBeVisible()
  const name = page.getByRole('region', { name: 'The string to look at' }).getByRole('heading', { level: 2 })
  const first = await name.innerText()
  await page.keyboard.press('2')
  await expect(name).not.toHaveText(first)
  await page.keyboard.press('d')
  await expect(page.getByRole('button', { name: /Dents or flats/ })).toHaveAttribute('aria-pressed', 'true')
  // What was seen is the least that it is.
  await expect(page.getByRole('button', { name: /as new/ })).toBeDisabled()
  await page.keyboard.press('4')
  await expect(page.getByText(/2 looked at, \d+ to go/)).toBeVisible()
  await expect(page.getByText(/failing, dents or flats\./).first()).toBeVisible()
  expect(await chance()).toBeGreaterThan(before)
  await expect(page.getByText(/failing, dents or flats, 24 Nov 2026/)).toBeVisible()
  await page.goto('/instruments/fennel/inspection')
  await expect(page.getByText(/2 looked at, \d+ to go/)).toBeVisible()
})

test('before a date: the proposal, one string more, one press for the job, and a kit that is put on the need list', async ({
  page,
}) => {
  await page.goto('/wear')
  await page.getByRole('link', { name: 'What to change before Lantern walk' }).click()
  await page.getByRole('combobox', { name: 'Instrument' }).selectOption('Sorrel')
  await expect(page.getByRole('heading', { name: 'Sorrel before Lantern walk' })).toBeVisible()
  const holds = async () => {
    const text = await page.getByText('chance that nothing breaks too late to mend').locator('..').innerText()
    return Number(/([\d.]+) %/.exec(text)?.[1])
  }
  const steps = page.getByRole('region', { name: 'What one more buys' }).getByRole('button')
  await steps.nth(0).click()
  const nothing = await holds()
  await steps.nth(4).click()
  const four = await holds()
  expect(four).toBeGreaterThan(nothing)
  const rows = page.getByRole('table', { name: 'Strings to change' })
  await expect(rows.getByRole('checkbox', { checked: true })).toHaveCount(4)
  await rows.getByRole('checkbox', { checked: true }).first().press('Space')
  await expect(rows.getByRole('checkbox', { checked: true })).toHaveCount(3)
  expect(await holds()).toBeLessThan(four)

  const kit = page.getByRole('list', { name: 'The kit' })
  await page.getByLabel('Away for').selectOption('a month')
  await page.getByLabel('Covers every break in').selectOption('99 of 100')
  await expect(kit.getByText(/× (gut|nylon|steel|phosphor|brass|fluoro|nylon)/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Put what is missing on the need list' }).click()
  await expect(page.getByText('What the kit lacks is on the need list.').first()).toBeVisible()

  await page.getByRole('button', { name: 'Open their job' }).click()
  await expect(page).toHaveURL(/\/jobs\/\d+/)
  await page.goto('/wear/before?on=sorrel')
  await expect(rows.getByText('its job is open')).toHaveCount(3)
})

test('the time ahead is chosen, a date is moved to see what it would ask for, and one kit is carried for all', async ({
  page,
}) => {
  await page.goto('/wear')
  const strings = async () =>
    Number(
      /^(\d+)/.exec(
        await page
          .getByText(/strings will break within/)
          .locator('..')
          .innerText(),
      )?.[1],
    )
  const year = await strings()
  await page.getByLabel('Within').selectOption('three months')
  await expect(page.getByRole('heading', { name: 'The next three months' })).toBeVisible()
  expect(await strings()).toBeLessThan(year)
  await page.goto('/instruments/lovage/wear?string=12')
  await page.getByRole('combobox', { name: 'Within', exact: true }).selectOption('a month')
  await expect(page.getByText('that it breaks within a month', { exact: true })).toBeVisible()
  await expect(page.getByText(/At least one of \d+ strings of gut/)).toBeVisible()
  await expect(page.getByRole('figure', { name: /until/ })).toContainText(/until .*at the bridge pin/)

  await page.goto('/wear/before?on=sorrel')
  const latest = page.getByRole('table', { name: 'Strings to change' }).getByRole('cell').last()
  const asSet = await latest.innerText()
  const slider = page.getByRole('slider', { name: 'If it were moved' })
  await slider.press('End')
  await expect(page.getByText('If it were 60 days later')).toBeVisible()
  await expect(latest).not.toHaveText(asSet)
  await page.getByRole('button', { name: 'As it is set' }).click()
  await expect(latest).toHaveText(asSet)

  await page.getByRole('link', { name: /One kit for all \d+ instruments/ }).click()
  await expect(page.getByRole('heading', { name: 'The kit for Lantern walk' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'The kit' })).toContainText(/ of (Lovage|Sorrel)/)
  await expect(page.getByRole('list', { name: 'The kit' })).toContainText(/anchors/)
})

test('on a phone nothing runs out at the side, in the round and before the date', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const place of [
    '/wear',
    '/wear/before',
    '/wear/kit?date=1',
    '/instruments/yarrow/inspection',
    '/instruments/teasel/wear',
  ]) {
    await page.goto(place)
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
      place,
    ).toBeLessThanOrEqual(0)
  }
  await page.goto('/instruments/teasel/inspection')
  await page.getByRole('button', { name: /^worn/ }).click()
  await expect(page.getByText(/1 looked at/)).toBeVisible()
})
