import { chromium } from '@playwright/test'
import { CHROMIUM } from './serve'
void (async () => {
  const browser = await chromium.launch(CHROMIUM)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const s = await page.context().newCDPSession(page)
  await page.goto('http://127.0.0.1:4599/instruments/lovage/chart', { waitUntil: 'networkidle' })
  await page.addStyleTag({ content: 'tbody tr{position:relative;z-index:0}' })
  await page.locator('#line-20 input[data-column="0"]').click()
  await s.send('Profiler.enable')
  await s.send('Profiler.setSamplingInterval', { interval: 200 })
  await s.send('Profiler.start')
  for (let i = 0; i < 40; i++) {
    await page.keyboard.press(String(i % 10))
    await page.waitForTimeout(100)
  }
  const { profile } = (await s.send('Profiler.stop')) as any
  const byId = new Map(profile.nodes.map((n: any) => [n.id, n]))
  const self = new Map<string, number>()
  profile.samples.forEach((id: number, i: number) => {
    const n: any = byId.get(id)
    const k = `${n.callFrame.functionName}@${n.callFrame.url.split('/').pop()}:${n.callFrame.columnNumber}`
    self.set(k, (self.get(k) ?? 0) + profile.timeDeltas[i])
  })
  console.log(
    [...self]
      .sort((a, b) => b[1] - a[1])
      .slice(0, 25)
      .map(([k, v]) => `${(v / 40000).toFixed(2)} ms ${k}`)
      .join('\n'),
  )
  await browser.close()
})()
