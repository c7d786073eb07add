/** The keyboard as someone without a pointer uses it. */
import type { Locator, Page } from '@playwright/test'

/** Presses Tab until the wanted control has the focus, as someone without a pointer would. */
export async function tabTo(page: Page, wanted: Locator): Promise<void> {
  for (let presses = 0; presses < 80; presses += 1) {
    if (await wanted.evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`Tab never reached ${wanted}`)
}
