/** Every screen, by day and Backstage, wide and on a phone: no serious or critical finding, and nothing runs out at the side. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './served'

test.describe.configure({ mode: 'parallel' })

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8')

interface Finding {
  readonly id: string
  readonly impact: string
  readonly nodes: readonly { readonly html: string }[]
}

/** The page as it is and in the other light, in which nothing but its colours differs. */
const LIGHTS = [
  { light: 'day', asked: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'] },
  { light: 'backstage', asked: ['color-contrast'] },
] as const

/** What axe finds serious in either light. */
async function seriousFindings(page: Page): Promise<readonly string[]> {
  await page.evaluate(AXE)
  // A colour that is on its way to another is neither.
  await page.addStyleTag({ content: '* { transition: none !important }' })
  const violations: (Finding & { readonly light: string })[] = []
  for (const { light, asked } of LIGHTS) {
    const found = await page.evaluate(
      async ([inLight, only]) => {
        document.documentElement.dataset.light = inLight
        const { axe } = window as unknown as {
          axe: { run: (o: object) => Promise<{ violations: Finding[] }> }
        }
        const all = (await axe.run({ runOnly: [...only] })).violations
        document.documentElement.dataset.light = 'day'
        return all
      },
      [light, asked] as const,
    )
    violations.push(...found.map((one) => ({ ...one, light })))
  }
  return violations
    .filter((v) => ['serious', 'critical'].includes(v.impact))
    .map(
      (v) =>
        `${v.light}: ${v.id}: ${v.nodes
          .map((n) => n.html)
          .slice(0, 2)
          .join(' ')}`,
    )
}

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  /** Looks at the page that is open, in both lights and at this width. */
  const looker = async (page: Page) => {
    await page.setViewportSize({ width, height })
    return async () => {
      await expect(page).toHaveTitle(/Taut Pinset/)
      await page.evaluate(() => document.fonts.ready)
      expect.soft(await seriousFindings(page), page.url()).toEqual([])
      expect
        .soft(
          await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
          `${page.url()} is too wide`,
        )
        .toBeLessThanOrEqual(0)
    }
  }

  test(`every place, ${width} px`, async ({ page }) => {
    test.setTimeout(240_000)
    const look = await looker(page)
    for (const place of [
      '/',
      '/instruments',
      '/broke',
      '/instruments/lovage?string=22',
      '/instruments/fennel?string=20',
      '/instruments/teasel?string=3',
      '/instruments/yarrow/which',
      '/practice',
      '/practice/due',
      '/practice/which/yarrow',
      '/practice/tie/lovage',
      '/practice/slack/teasel',
      '/practice/wrong/bistort',
      '/practice/material/lovage',
      '/practice/raise/lovage',
      '/practice/hear/chervil',
      '/instruments/lovage/chart',
      '/instruments/new',
      '/instruments/bryony/belongs?string=9',
      '/instruments/bryony/tune?string=9',
      '/instruments/lovage/bench?string=29',
      '/instruments/orris/bench?string=2',
      '/stores',
      '/stores/coils/8',
      '/stores/cutting',
      '/stores/small-things',
      '/stores/labels',
      '/orders',
      '/orders/suppliers',
      '/orders/suppliers/weir-and-wharf',
      '/history',
      '/house',
      '/house/habits',
      '/house/dates',
      '/house/archive',
      '/house/backups',
      '/instruments/lovage/about',
      '/instruments/yarrow/hardware',
      '/instruments/lovage/measuring-sheet',
      '/house/fittings',
      '/knots',
      '/knots?knot=plain%20becket',
      '/instruments/yarrow/habits',
      '/instruments/fennel/round',
      '/settling',
      '/settling/visits',
      '/settling/room',
      '/wear',
      '/wear/before?on=lovage',
      '/wear/kit?date=1',
      '/instruments/lovage/restring',
      '/instruments/lovage/wear?string=12',
      '/instruments/sorrel/inspection',
      '/nowhere',
    ]) {
      await page.goto(place)
      // What is drawn by more than the page itself is fetched after it.
      if (/knots|chart|bench|cutting/.test(place)) await page.waitForLoadState('networkidle')
      await look()
    }
  })

  test(`what opens on the way, ${width} px`, async ({ page }) => {
    test.setTimeout(240_000)
    const lookNow = await looker(page)
    const look = async () => {
      await page.waitForLoadState('networkidle')
      await lookNow()
    }
    await page.goto('/instruments/fennel/which')
    await page.getByRole('textbox', { name: 'What you know about the string' }).fill('thin, 0.9 mm, red')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Calliper' }).click()
    await look()
    await page.goto('/instruments/fennel/chart')
    await page.getByRole('button', { name: 'Import CSV' }).click()
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from('no,gauge\n1,0.8\n2,x\n') })
    await look()
    await page.goto('/instruments/fennel/chart')
    await page.getByRole('button', { name: 'Rebuild' }).click()
    await look()
    await page.goto(`/instruments/lovage?string=${width === 390 ? 24 : 19}`)
    await page.getByRole('button', { name: 'This string broke' }).click()
    await page.getByRole('radio', { name: 'In mid-length' }).click()
    await look()
    await page.getByRole('button', { name: 'Log the break' }).click()
    await page.waitForURL('**/coil')
    await look()
    await page.getByRole('button', { name: 'Cut from this' }).first().click()
    await page.waitForURL('**/figures')
    await look()
    await page.getByRole('button', { name: 'Show the working: Slack' }).click()
    await look()
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: 'Start the fitting' }).click()
    await page.waitForURL('**/steps')
    for (let more = true; more;) {
      await look()
      const done = page.getByRole('button', { name: /^Done/ })
      more = (await done.textContent())?.trim() === 'Done, go on'
      await done.click()
    }
    await page.waitForURL('**/log')
    await look()
    const log = page.url()
    await page.goto(log.replace('/log', '/card'))
    await look()
    await page.goto(log)
    await page.getByRole('button', { name: 'Log the fitting' }).click()
    await page.waitForURL('**/done')
    await look()
    await page.getByRole('link', { name: 'Service report' }).click()
    await page.waitForURL('**/report')
    await look()
  })
}
