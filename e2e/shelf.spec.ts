/** All ten instruments on every sheet that is made for them, without a word of complaint from the browser. */
import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from './served'

const shelf = readdirSync('demo/instruments').map(
  (file) =>
    JSON.parse(readFileSync(`demo/instruments/${file}`, 'utf8')) as {
      slug: string
      name: string
      positions: unknown[]
      countedFrom: 'top' | 'bottom'
    },
)

for (const { slug, name, positions, countedFrom } of shelf) {
  test(`${name}: field, search box, chart, Which string?, bench and packet`, async ({ page }) => {
    const complaints: string[] = []
    page.on('pageerror', (error) => complaints.push(error.message))
    page.on('console', (message) => {
      if (message.type() === 'error') complaints.push(message.text())
    })
    const last = positions.length
    // Where 1 is the lowest, the last name is the highest string's, and its line is the first of the chart.
    const [ofLast, step, line] =
      countedFrom === 'top' ? ['from the top', 'Shorter →', last] : ['from the lowest', '← Longer', 1]

    await page.goto(`/instruments/${slug}`)
    const box = page.getByRole('textbox', { name: 'A string’s name or number' })
    await box.fill(`${last}`)
    await box.press('Enter')
    await expect(page.getByRole('region', { name: 'Plate of the picked string' })).toContainText(
      `${ofLast}${last}`,
    )
    await page.getByRole('button', { name: step }).click()
    await expect(page.getByRole('region', { name: 'Plate of the picked string' })).toContainText(
      `${ofLast}${last - 1}`,
    )

    await page.goto(`/instruments/${slug}/chart`)
    await expect(page.getByRole('table', { name: 'String chart' }).getByRole('rowheader')).toHaveCount(last)
    await expect(page.getByRole('img', { name: /^Tension, N: \d+ to \d+/ })).toBeVisible()
    await box.fill(`${last}`)
    await box.press('Enter')
    await expect(page.getByRole('textbox', { name: `Gauge of string ${line}`, exact: true })).toBeFocused()

    await page.goto(`/instruments/${slug}/which`)
    const typed = page.getByRole('textbox', { name: 'What you know about the string' })
    await typed.fill('no. 2 from the top')
    await typed.press('Enter')
    await expect(page.getByRole('list', { name: 'Ranking' }).getByRole('listitem').first()).toBeVisible()

    await page.goto(`/instruments/${slug}/bench?string=${Math.ceil(last / 2)}`)
    await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText('at its pitch')
    await page.goto(`/instruments/${slug}/belongs?string=1`)
    await page.getByRole('textbox', { name: 'Gauge of the new string' }).fill('1 mm')
    await expect(
      page.getByRole('region', { name: 'Verdict' }).getByRole('heading', { level: 2 }),
    ).toBeVisible()
    expect(complaints).toEqual([])
  })
}
