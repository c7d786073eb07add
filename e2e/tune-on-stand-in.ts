import { expect, type Page } from '@playwright/test'

/** Plucks and turns string after string, as it is told, until the heading says that it is over. */
export async function onTheStandIn(page: Page, until: string): Promise<void> {
  const heading = page.getByRole('heading', { level: 1 })
  const turn = page.getByRole('button', { name: 'Turn as told, and pluck' })
  for (let pluck = 0; pluck < 120; pluck += 1) {
    const before = await heading.innerText()
    if (before === until) return
    await page.getByRole('button', { name: /^Pluck/ }).click()
    // Either it is the next one's turn, or this one is heard and there is something to turn.
    await expect
      .poll(async () => (await heading.innerText()) !== before || (await turn.isVisible()))
      .toBe(true)
    if ((await heading.innerText()) !== before) continue
    await turn.click()
    await expect.poll(() => heading.innerText()).not.toBe(before)
  }
}
