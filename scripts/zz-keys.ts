import { chromium } from '@playwright/test'
import { CHROMIUM } from './serve'
void (async () => {
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const session = await page.context().newCDPSession(page)
  for (const css of ['', 'tbody tr{position:relative;z-index:0}']) {
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    await page.goto('http://127.0.0.1:4599/instruments/lovage/chart', { waitUntil: 'networkidle' })
    if (css) await page.addStyleTag({ content: css })
    await page.locator('#line-20 input[data-column="0"]').click()
    await page.evaluate(() => {
      const k = window as any
      k.paints = []
      k.js = []
      window.addEventListener(
        'keydown',
        ({ timeStamp }) => {
          requestAnimationFrame((t) => {
            k.js.push(performance.now() - timeStamp)
            const c = new MessageChannel()
            c.port1.onmessage = () => k.paints.push(performance.now() - timeStamp)
            c.port2.postMessage(null)
          })
        },
        { capture: true },
      )
    })
    for (let i = 0; i < 40; i++) {
      await page.keyboard.press(String(i % 10))
      await page.waitForTimeout(200)
    }
    const [p, j] = (await page.evaluate(() => [(window as any).paints, (window as any).js])) as number[][]
    const med = (a: number[]) => a.sort((x, y) => x - y)[20]!.toFixed(0) + ' / ' + a[38]!.toFixed(0)
    console.log(css || 'plain', 'paint', med(p!), 'raf at', med(j!))
  }
  await browser.close()
})()
