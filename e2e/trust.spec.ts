/** Whom the house answers, one program a folder, a house closed whole, troubles on one page, backups taken and brought back. */
import Database from 'better-sqlite3'
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { request as ask } from 'node:http'
import os from 'node:os'
import path from 'node:path'
import { end, freePort, serve } from '../scripts/serve'
import { expect, test } from './served'

test.use({ copy: 'trust' })
test.describe.configure({ mode: 'serial' })

const FILE = 'taut-pinset.sqlite'
const actionsIn = (folder: string) => {
  const db = new Database(path.join(folder, FILE), { readonly: true })
  const count = db.prepare('SELECT count(*) FROM action').pluck().get()
  db.close()
  return count
}
/** As no browser would let a page send it. */
const sent = (url: string, headers: Record<string, string>, body = '{}'): Promise<number> =>
  new Promise((resolve, reject) => {
    const asking = ask(url, { method: 'POST', headers }, (answer) => {
      answer.resume()
      resolve(answer.statusCode ?? 0)
    })
    asking.on('error', reject)
    asking.end(body)
  })

test('only its own pages write, by its own name, and no page may frame it', async ({ served, page }) => {
  const before = actionsIn(served.folder)
  const own = { 'content-type': 'application/json', 'content-length': '2' }
  const url = `${served.url}/api/actions/1/undo`
  expect(await sent(url, { ...own, host: 'rebound.example' })).toBe(421)
  expect(await sent(url, { ...own, origin: 'http://evil.example' })).toBe(403)
  expect(await sent(url, { ...own, origin: 'null' })).toBe(403)
  expect(await sent(url, { ...own, 'content-type': 'text/plain' })).toBe(415)
  expect(await sent(url, { 'content-type': 'application/json', 'transfer-encoding': 'chunked' })).toBe(411)
  expect(await sent(`${served.url}/api/desk/weir-and-wharf`, { ...own, 'content-type': 'text/plain' })).toBe(
    415,
  )
  expect(actionsIn(served.folder)).toBe(before)

  const answer = await page.goto('/history')
  const policy = answer?.headers()['content-security-policy'] ?? ''
  expect(policy).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]{24}'/)
  expect(policy).toContain("frame-ancestors 'none'")
  expect(answer?.headers()).toMatchObject({
    'x-content-type-options': 'nosniff',
    'cache-control': 'no-store',
    'referrer-policy': 'same-origin',
  })
  // A frame of another page stays empty, and what is written into a page by markup does not run.
  const framed = await page.context().newPage()
  await framed.setContent(`<iframe src="${served.url}/history" title="history"></iframe>`)
  await expect.poll(() => framed.frames().some((frame) => frame.url().startsWith('chrome-error'))).toBe(true)
  await framed.close()
  await page.evaluate(() => {
    document.body.insertAdjacentHTML('beforeend', '<img src="/none" onerror="window.ran = true">')
  })
  await page.waitForTimeout(300)
  expect(await page.evaluate(() => 'ran' in window)).toBe(false)
})

test('a second program on the same folder is told who has it, and touches nothing', async ({ served }) => {
  const second = spawnSync(path.resolve('bin', 'serve'), [String(await freePort())], {
    env: { ...process.env, TAUT_DATA: served.folder },
    encoding: 'utf8',
  })
  expect(second.status).toBe(3)
  expect(second.stderr).toMatch(/is being served already, by process \d+ since .* nothing was touched/)
  const doctor = spawnSync(path.resolve('bin', 'doctor'), [], {
    env: { ...process.env, TAUT_DATA: served.folder },
    encoding: 'utf8',
  })
  expect(doctor.stderr).toMatch(/is being served by process \d+/)
})

test('told to stop, it leaves everything in the one file; the doctor finds it well; what keeps it from being opened is told on one page', async () => {
  test.setTimeout(120_000)
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-trust-'))
  cpSync(process.env.TAUT_E2E_DEMO as string, folder, { recursive: true })
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  const knock = async () => {
    const answer = await fetch(`${url}/house`)
    return [answer.status, await answer.text()] as const
  }
  let server = await serve(port, folder)
  const written = await fetch(`${url}/api/instruments/lovage/looks`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-action-key': 'looked-at-once' },
    body: JSON.stringify({ number: 3, condition: 'fresh', signs: [] }),
  })
  expect(written.status).toBe(200)
  const { actionId } = (await written.json()) as { actionId: number }

  // Moved away under the running program.
  renameSync(folder, `${folder}-elsewhere`)
  const [status, page] = await knock()
  expect([status, page]).toEqual([503, expect.stringContaining('The house is gone from')])
  const refused = await fetch(`${url}/api/breaks`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{}',
  })
  expect([refused.status, await refused.json()]).toEqual([
    503,
    { sentence: expect.stringMatching(/The house is gone .* Bring its folder back/), field: null },
  ])
  renameSync(`${folder}-elsewhere`, folder)
  expect((await knock())[0]).toBe(200)

  await end(server, 'SIGTERM')
  const alone = path.join(folder, 'alone.sqlite')
  writeFileSync(alone, readFileSync(path.join(folder, FILE)))
  const copy = new Database(alone, { readonly: true })
  expect(copy.prepare('SELECT max(id) FROM action').pluck().get()).toBe(actionId)
  copy.close()

  const doctor = spawnSync(path.resolve('bin', 'doctor'), [], {
    env: { ...process.env, TAUT_DATA: folder },
    encoding: 'utf8',
  })
  expect(doctor.stdout).toMatch(/integrity: ok[\s\S]*indexes: all \d+[\s\S]*rows are as it says/)

  writeFileSync(path.join(folder, FILE), 'no house at all '.repeat(500))
  server = spawn(path.resolve('bin', 'serve'), [String(port)], {
    env: { ...process.env, TAUT_DATA: folder },
    stdio: 'ignore',
    detached: true,
  })
  await expect
    .poll(
      () =>
        knock().then(
          ([s]) => s,
          () => 0,
        ),
      { timeout: 20_000 },
    )
    .toBe(503)
  const [, told] = await knock()
  expect(told).toContain('is no house, or is spoilt')
  expect(told).toContain('Nothing was touched.')
  expect(told).toContain('bin/restore')
  await end(server, 'SIGTERM')
  expect(readFileSync(path.join(folder, FILE), 'utf8')).toBe('no house at all '.repeat(500))
  rmSync(folder, { recursive: true, force: true })
})

test('a backup is taken, what restoring it loses is shown, and the restore is undone by what it kept', async ({
  page,
  served,
}) => {
  await page.goto('/house/backups')
  const before = actionsIn(served.folder)
  await expect(page.getByText('There is none yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Take one now' }).click()
  await expect(page.getByText('A backup is taken, and was looked through.')).toBeVisible()
  await page.request.post('/api/instruments/lovage/looks', {
    data: { number: 5, condition: 'fraying', signs: [] },
  })
  await page.reload()
  const list = page.getByRole('list', { name: 'Backups, the latest first' })
  await list.getByRole('button', { name: 'Restore' }).click()
  await expect(list.getByText('One thing was done since, and is lost by this:')).toBeVisible()
  await expect(list).toContainText('of Lovage')
  await list.getByRole('button', { name: 'Restore this one' }).click()
  await expect(page.getByText('The house is as it was then.')).toBeVisible()
  expect(actionsIn(served.folder)).toBe(before)
  await page.reload()
  await expect(list.getByText('before a restore')).toBeVisible()
  await list.getByRole('button', { name: 'Restore' }).first().click()
  await list.getByRole('button', { name: 'Restore this one' }).click()
  await expect(page.getByText('The house is as it was then.')).toBeVisible()
  expect(actionsIn(served.folder)).toBe(Number(before) + 1)
})
