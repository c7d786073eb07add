/**
 * Refreshes docs/screenshots from the demo: `npm run screenshots`. Each picture is a main view of the production build.
 */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { prepare } from '@/data/demo/prepare'

const PORT = 3299
const HOME = `http://127.0.0.1:${PORT}`
const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-shots-'))
const DEMO_DATE = '2026-11-24T10:00'

async function up(): Promise<void> {
  for (let tries = 0; tries < 200; tries += 1) {
    if (await fetch(HOME).then((r) => r.ok, () => false)) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not come up')
}

async function main(): Promise<void> {
  prepare(folder, 'demo', DEMO_DATE)
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
    env: { ...process.env, TAUT_DATA: folder, TAUT_DEMO_DATE: DEMO_DATE }, stdio: 'ignore', detached: true,
  })
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
  try {
    await up()
    const wide = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
    const shoot = async (page: Page, name: string, address?: string) => {
      if (address) await page.goto(HOME + address)
      await page.waitForLoadState('networkidle')
      await page.evaluate(() => document.fonts.ready)
      await page.screenshot({ path: `docs/screenshots/${name}.png` })
    }
    await shoot(wide, 'today', '/')
    await shoot(phone, 'today-phone', '/')
    await shoot(wide, 'instruments', '/instruments')
    await shoot(wide, 'lovage', '/instruments/lovage?string=22')
    await shoot(wide, 'teasel', '/instruments/teasel?string=9')
    await shoot(phone, 'fennel-phone', '/instruments/fennel?string=11')
    await shoot(wide, 'stores', '/stores')

    await wide.goto(`${HOME}/instruments/lovage?string=22`)
    await wide.getByRole('button', { name: 'This string broke' }).click()
    await wide.getByRole('radio', { name: 'At the tuning pin hole' }).click()
    await shoot(wide, 'where-it-broke')
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
    await wide.getByRole('link', { name: 'Start the fitting' }).click()
    await wide.waitForURL('**/steps')
    for (let i = 0; i < 10; i += 1) {
      await wide.keyboard.press('Space')
      await wide.waitForTimeout(120)
    }
    await shoot(wide, 'step')
    await shoot(phone, 'step-phone', new URL(wide.url()).pathname)
    await wide.context().addCookies([{ name: 'light', value: 'backstage', url: HOME }])
    await shoot(wide, 'step-backstage', new URL(wide.url()).pathname)
    await shoot(wide, 'fennel-backstage', '/instruments/fennel?string=27')
    await wide.context().clearCookies()
    await wide.goto(HOME + new URL(phone.url()).pathname.replace('steps', 'log'))
    await wide.getByRole('button', { name: 'Log the fitting' }).click()
    await wide.waitForURL('**/done')
    await wide.getByRole('button', { name: 'Put this message away' }).click()
    await shoot(wide, 'settling')
  } finally {
    await browser.close()
    process.kill(-(server.pid as number))
    rmSync(folder, { recursive: true, force: true })
  }
}

void main()
