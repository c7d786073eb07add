/** The commands: the demo brought up, brought up again with nothing lost, and started over; a house of one's own. */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { end, freePort } from '../scripts/serve'

const COMMAND = path.resolve('bin', 'demo')
const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-demo-'))
test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

interface Demo {
  readonly process: ChildProcess
  readonly said: () => string
  readonly url: string
}

const demo = (...words: string[]) =>
  bringUp(COMMAND, words, { TAUT_DATA: folder, TAUT_DEMO_DATE: '2026-12-10T18:00' })

/** Runs a command until the server answers. */
async function bringUp(
  command: string,
  words: readonly string[],
  settings: Readonly<Record<string, string>>,
): Promise<Demo> {
  const port = await freePort()
  const env = { ...process.env, PORT: String(port), ...settings }
  const child = spawn(command, words, { env, detached: true })
  let said = ''
  child.stdout.on('data', (piece) => {
    said += String(piece)
  })
  child.stderr.on('data', (piece) => {
    said += String(piece)
  })
  const url = `http://127.0.0.1:${port}`
  await expect
    .poll(
      () =>
        fetch(url).then(
          (r) => r.ok,
          () => false,
        ),
      { timeout: 90_000 },
    )
    .toBe(true)
  return { process: child, said: () => said, url }
}

test('it lays the shelf out, says its address, keeps its day, and loses nothing when it is run again', async ({
  request,
}) => {
  test.setTimeout(300_000) // three starts, two of them laying out the shelf
  const first = await demo()
  expect(first.said()).toContain('The Lantern Shelf is laid out')
  expect(first.said()).toContain(`Taut Pinset is at ${first.url}`)
  expect(await (await request.get(first.url)).text()).toContain('Thursday 10 December')
  const logged = await request.post(`${first.url}/api/breaks`, {
    data: { instrument: 'lovage', string: 30, site: 'knot' },
  })
  expect(logged.ok()).toBe(true)
  await end(first.process, 'SIGTERM')

  const started = Date.now()
  const second = await demo()
  expect(Date.now() - started).toBeLessThan(20_000)
  expect(second.said()).toContain('Going on with what is in')
  expect(await (await request.get(`${second.url}/history`)).text()).toContain(
    '4th-octave F of Lovage gave way: at the knot',
  )
  await end(second.process, 'SIGTERM')

  const refused = spawnSync(COMMAND, ['--fresh'], {
    env: { ...process.env, TAUT_DATA: folder },
    input: 'n\n',
    encoding: 'utf8',
  })
  expect(refused.stdout).toContain('Nothing was changed.')

  const fresh = await demo('--fresh', '--yes')
  expect(await (await request.get(`${fresh.url}/history`)).text()).not.toContain(
    '4th-octave F of Lovage gave way',
  )
  expect(readdirSync(folder).filter((name) => name.startsWith('before-'))).toHaveLength(1)
  await end(fresh.process, 'SIGTERM')
})

test('words it does not know, and dates it can’t read, are answered in a sentence', () => {
  const words = spawnSync(COMMAND, ['--now'], { encoding: 'utf8' })
  expect([words.status, words.stderr]).toEqual([2, 'bin/demo takes --fresh and --yes; “--now” is neither.\n'])
  const date = spawnSync(COMMAND, [], {
    env: { ...process.env, TAUT_DATA: path.join(folder, 'other'), TAUT_DEMO_DATE: 'someday' },
    encoding: 'utf8',
  })
  expect(date.status).toBe(1)
  expect(date.stderr).toContain(
    'TAUT_DEMO_DATE: expected a date such as 2026-12-10 or 2026-12-10T19:30, got “someday”.',
  )
})

test('a house of one’s own begins empty in the user’s data directory, and goes on from where it was', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000)
  const home = mkdtempSync(path.join(os.tmpdir(), 'taut-start-'))
  const own = () => bringUp(path.resolve('bin', 'start'), [], { TAUT_DATA: '', XDG_DATA_HOME: home })
  const first = await own()
  expect(first.said()).toContain(`An empty house in ${home}/taut-pinset`)
  await page.goto(first.url)
  await expect(page.getByRole('heading', { name: /^Three questions/ })).toBeVisible()
  const begun = await request.post(`${first.url}/api/house`, {
    data: { name: 'Alder Yard', unit: 'in', currency: 'GBP', timeZone: 'Europe/London', gaugesInThou: true },
  })
  expect(begun.ok()).toBe(true)
  await end(first.process, 'SIGTERM')
  const second = await own()
  expect(second.said()).toContain('Going on with what is in')
  expect(await (await request.get(second.url)).text()).toContain('Alder Yard')
  await end(second.process, 'SIGTERM')
  rmSync(home, { recursive: true, force: true })
})
