import type { Page } from '@playwright/test'

/** The addresses that this device keeps, without what they are drawn by. */
export const keptPages = (page: Page) =>
  page.evaluate(async () => {
    const found: string[] = []
    for (const name of await caches.keys())
      for (const { url } of await (await caches.open(name)).keys()) found.push(new URL(url).pathname)
    return found.filter((one) => !/^\/(_next\/static\/|icon)/.test(one)).sort()
  })
