/**
 * Refreshes docs/screenshots from the demo: `npm run screenshots`. Each picture is a main view of the production build.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { prepare } from '@/data/demo/prepare'
import { CHROMIUM, DEMO_DATE, end, freePort, serve } from './serve'

async function main(): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-shots-'))
  prepare(folder, 'demo', DEMO_DATE)
  const port = await freePort()
  const home = `http://127.0.0.1:${port}`
  const server = await serve(port, folder)
  const browser = await chromium.launch(CHROMIUM)
  try {
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
    await shoot(phone, 'fennel-phone', '/instruments/fennel?string=11')
    await shoot(wide, 'stores', '/stores')
    await shoot(wide, 'chart', '/instruments/lovage/chart')
    await shoot(wide, 'new-instrument', '/instruments/new')
    await shoot(wide, 'bench', '/instruments/lovage/bench?string=29')
    await wide.goto(`${home}/instruments/fennel/which`)
    await wide.getByRole('textbox', { name: 'What you know of the string' }).fill('thin, clear, two below a blue one, springs back')
    await wide.keyboard.press('Enter')
    await shoot(wide, 'which')
    await shoot(wide, 'habits', '/house/habits')

    await wide.goto(`${home}/orders`)
    await wide.getByRole('button', { name: /^Put all/ }).click()
    await wide.getByText('entries of the list').waitFor()
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await wide.getByRole('button', { name: 'Plan the buying' }).click()
    await wide.getByRole('button', { name: 'Write these orders' }).waitFor()
    await shoot(wide, 'orders')
    await wide.getByRole('button', { name: 'Write these orders' }).click()
    await wide.getByRole('link', { name: /Weir & Wharf/ }).last().click()
    await wide.getByRole('button', { name: 'Send it to the desk' }).click()
    await wide.getByRole('button', { name: 'Take it' }).waitFor()
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await wide.evaluate(() => window.scrollTo(0, 0))
    await shoot(wide, 'order')

    await wide.goto(`${home}/instruments/lovage?string=22`)
    await wide.getByRole('button', { name: 'This string broke' }).click()
    await wide.getByRole('radio', { name: 'At the tuning pin hole' }).click()
    await wide.getByRole('button', { name: 'Log the break' }).click()
    await wide.waitForURL('**/coil')
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await shoot(wide, 'coil')
    await wide.getByRole('button', { name: 'Cut from this' }).first().click()
    await wide.waitForURL('**/figures')
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await wide.setViewportSize({ width: 1280, height: 1080 })
    await shoot(wide, 'figures')
    await wide.setViewportSize({ width: 1280, height: 800 })
    await shoot(wide, 'job-card', new URL(wide.url()).pathname.replace('figures', 'card'))
    await wide.goBack()
    await wide.getByRole('link', { name: 'Start the fitting' }).click()
    await wide.waitForURL('**/steps')
    for (let i = 0; i < 10; i += 1) {
      await wide.keyboard.press('Space')
      await wide.waitForTimeout(120)
    }
    await shoot(wide, 'step')
    await shoot(phone, 'step-phone', new URL(wide.url()).pathname)
    await wide.context().addCookies([{ name: 'light', value: 'backstage', url: home }])
    await shoot(wide, 'step-backstage', new URL(wide.url()).pathname)
    await wide.context().clearCookies()
    await wide.goto(home + new URL(phone.url()).pathname.replace('steps', 'log'))
    await wide.getByRole('button', { name: 'Log the fitting' }).click()
    await wide.waitForURL('**/done')
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await shoot(wide, 'settling')
  } finally {
    await browser.close()
    await end(server, 'SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
}

void main()
