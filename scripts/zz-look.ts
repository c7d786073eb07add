import { chromium } from '@playwright/test'
import { CHROMIUM } from './serve'
void (async () => {
  const browser = await chromium.launch(CHROMIUM)
  const shots = JSON.parse(process.argv[2]!) as [string, string, number, number, string?][]
  for (const [name, url, w, h, light] of shots) {
    const page = await browser.newPage({ viewport: { width: w, height: h }, colorScheme: light === 'dark' ? 'dark' : 'light' })
    await page.goto('http://127.0.0.1:4599' + url, { waitUntil: 'networkidle' })
    await page.waitForTimeout(5000); await page.screenshot({ path: `/tmp/w/s-${name}.png` })
    await page.close()
  }
  await browser.close()
})()
