/**
 * Refreshes docs/screenshots from the demo: `npm run screenshots`. Each picture is a main view of the production build.
 */
import type { Page } from '@playwright/test'
import { onDemo } from './on-demo'

void onDemo(async (browser, home) => {
  const wide = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
  const shoot = async (page: Page, name: string, address?: string) => {
    if (address) await page.goto(home + address)
    await page.waitForLoadState('networkidle')
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
  }
  await shoot(wide, 'today', '/')
  await shoot(wide, 'instruments', '/instruments')
  await shoot(wide, 'lovage', '/instruments/lovage?string=22')
  await shoot(wide, 'stores', '/stores')
  await shoot(wide, 'chart', '/instruments/lovage/chart')
  await wide.goto(`${home}/instruments/lovage/tune?string=22`)
  await wide.getByRole('button', { name: 'Pluck it' }).click()
  await wide.getByRole('button', { name: /^Turn the key by/ }).click()
  await wide.getByText(/it takes \d+ % of the turn/).waitFor()
  // It is read three times while it rings.
  await wide.waitForTimeout(1500)
  await shoot(wide, 'tune')
  await shoot(wide, 'bench', '/instruments/lovage/bench?string=29')
  await wide.goto(`${home}/instruments/fennel/which`)
  await wide
    .getByRole('textbox', { name: 'What you know about the string' })
    .fill('thin, clear, two below a blue one, springs back')
  await wide.keyboard.press('Enter')
  await shoot(wide, 'which')
  await shoot(wide, 'habits', '/house/habits')
  await wide.goto(`${home}/knots?knot=two-loop,%20open%20bight`)
  for (let i = 0; i < 2; i += 1) await wide.keyboard.press('ArrowRight')
  // Tied before the eye, and at rest again.
  await wide.waitForTimeout(3500)
  await shoot(wide, 'knots')

  await wide.goto(`${home}/orders`)
  await wide.getByText(/suggestions? for stock$/).click()
  await wide.getByRole('button', { name: /^Put all/ }).click()
  await wide.getByText('entries of the list').waitFor()
  await wide.getByRole('button', { name: 'Put this message away' }).click()
  await wide.getByRole('button', { name: 'Plan the buying' }).click()
  await wide.getByRole('button', { name: 'Write these orders' }).waitFor()
  await shoot(wide, 'orders')

  await wide.goto(`${home}/instruments/lovage?string=22`)
  await wide.getByRole('button', { name: 'This string broke' }).click()
  await wide.getByRole('radio', { name: 'At the tuning pin hole' }).click()
  await wide.getByRole('button', { name: 'Log the break' }).click()
  await wide.waitForURL('**/coil')
  await wide.getByRole('button', { name: 'Put this message away' }).click()
  await wide.getByRole('button', { name: 'Cut from this' }).first().click()
  await wide.waitForURL('**/figures')
  await wide.getByRole('button', { name: 'Put this message away' }).click()
  await wide.setViewportSize({ width: 1280, height: 1080 })
  await shoot(wide, 'figures')
  await wide.setViewportSize({ width: 1280, height: 800 })
  await wide.getByRole('link', { name: 'Start the fitting' }).click()
  await wide.waitForURL('**/steps')
  for (let i = 0; i < 10; i += 1) {
    await wide.keyboard.press('Space')
    await wide.waitForTimeout(120)
  }
  await shoot(phone, 'step-phone', new URL(wide.url()).pathname)
  await wide.context().addCookies([{ name: 'light', value: 'backstage', url: home }])
  await wide.goto(`${home}/instruments/fennel/round`)
  await wide.getByRole('button', { name: 'Practise on a stand-in' }).click()
  const turnAsTold = wide.getByRole('button', { name: 'Turn as told, and pluck' })
  for (let pluck = 0; pluck < 24; pluck += 1) {
    await wide.getByRole('button', { name: /^Pluck/ }).click()
    await wide.waitForTimeout(900)
    if (!(await turnAsTold.isVisible())) continue
    if (pluck > 20) break
    await turnAsTold.click()
    await wide.waitForTimeout(900)
  }
  await shoot(wide, 'round-backstage')
  await wide.context().clearCookies()
  await wide.goto(home + new URL(phone.url()).pathname.replace('steps', 'log'))
  await wide.getByRole('button', { name: 'Log the fitting' }).click()
  await wide.waitForURL('**/done')
  await wide.getByRole('button', { name: 'Put this message away' }).click()
  await shoot(wide, 'wear', '/wear/before?on=lovage')
  await shoot(wide, 'settling', '/settling')
  await wide.setViewportSize({ width: 1280, height: 1080 })
  await wide.goto(`${home}/instruments/sorrel/restring`)
  await wide.getByText(/no order takes less than/).waitFor()
  await wide.getByRole('slider', { name: 'Moment of the work' }).fill('46')
  await shoot(wide, 'restring')
  await wide.setViewportSize({ width: 1280, height: 800 })

  // One of the shelf's own charts comes whole; what is assumed is seen on a new one.
  await wide.request.post(`${home}/api/instruments`, {
    data: {
      name: 'Quince',
      family: 'lever harp',
      notes: 'C2 to G6',
      restTuning: 'E-flat major',
      tensionClass: 'lever',
      strung: 'as usual',
      lengths: '1: 92 mm',
      maker: '',
      model: '',
      owner: '',
      on: 'unknown',
      year: null,
      chart: [],
    },
  })
  await shoot(wide, 'measuring', '/instruments/quince/measuring')
  const crossing = encodeURIComponent('tie:two-loop, crossed:crossing')
  await wide.goto(`${home}/practice/tie/lovage?card=${crossing}`)
  await wide.getByText('Question 1 of').waitFor()
  await wide.keyboard.press('2')
  await shoot(wide, 'practice')
})
