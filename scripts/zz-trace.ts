import { chromium } from '@playwright/test'
import { CHROMIUM } from './serve'
import { writeFileSync } from 'node:fs'
void (async () => {
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto('http://127.0.0.1:4599/instruments/lovage/chart', { waitUntil: 'networkidle' })
  if (process.env.CSS) await page.addStyleTag({ content: process.env.CSS })
  await page.locator('#line-20 input[data-column="0"]').click()
  await browser.startTracing(page, { categories: ['devtools.timeline', 'blink.user_timing', 'v8.execute'] })
  for (let i = 0; i < 30; i++) {
    await page.keyboard.press(String(i % 10))
    await page.waitForTimeout(150)
  }
  const buf = await browser.stopTracing()
  writeFileSync('/tmp/w/trace.json', buf)
  await browser.close()
})()
