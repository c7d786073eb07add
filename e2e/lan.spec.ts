/** Over the house's network: nobody sees or writes anything without the pass phrase; with it a phone does, over HTTPS. */
import { chromium, expect, test, type Browser } from '@playwright/test'
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import { connect } from 'node:tls'
import path from 'node:path'
import { CHROMIUM, end, freePort } from '../scripts/serve'
import { keptPages } from './kept-pages'

test.describe.configure({ mode: 'serial' })
const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-lan-'))
/** Where a phone of the same network would find it; the machine's own way round where it has no network. */
const address =
  Object.values(os.networkInterfaces())
    .flat()
    .find((one) => one && one.family === 'IPv4' && !one.internal)?.address ?? '127.0.0.1'
const phrase = (words: string, ...more: string[]) =>
  spawnSync(path.resolve('bin', 'pass-phrase'), more, {
    env: { ...process.env, TAUT_DATA: folder },
    input: `${words}\n`,
    encoding: 'utf8',
  })
/** A network of its own with a phone in it, where this machine lets one be made. */
const NET = { name: `taut${process.pid}`, here: '10.213.77.1', there: '10.213.77.2' }
const ip = (...words: string[]) => spawnSync('ip', words).status === 0
let hasNet = false
let server: ChildProcess
let said = ''
let home = ''
let away = ''

test.beforeAll(async () => {
  hasNet =
    ip('netns', 'add', NET.name) &&
    ip('link', 'add', `${NET.name}a`, 'type', 'veth', 'peer', 'name', `${NET.name}b`, 'netns', NET.name) &&
    ip('addr', 'add', `${NET.here}/24`, 'dev', `${NET.name}a`) &&
    ip('link', 'set', `${NET.name}a`, 'up') &&
    ip('-n', NET.name, 'addr', 'add', `${NET.there}/24`, 'dev', `${NET.name}b`) &&
    ip('-n', NET.name, 'link', 'set', `${NET.name}b`, 'up')
  cpSync(process.env.TAUT_E2E_DEMO as string, folder, { recursive: true })
  const [port, lan] = [await freePort(), await freePort()]
  home = `http://127.0.0.1:${port}`
  away = `https://${address}:${lan}`
  const env = { ...process.env, TAUT_DATA: folder, TAUT_LAN_PORT: String(lan) }
  const refused = spawnSync(path.resolve('bin', 'serve'), [String(port)], { env, encoding: 'utf8' })
  expect([refused.status, refused.stderr]).toEqual([2, 'Set a pass phrase first: bin/pass-phrase.\n'])
  expect(phrase('short').stderr).toContain('10 letters at least')
  expect(phrase('gut on the top shelf').stdout).toContain('It is set.')
  expect(phrase('the harp by the door', '--look').stdout).toContain('It is set.')
  server = spawn(path.resolve('bin', 'serve'), [String(port)], { env, detached: true })
  server.stdout?.on('data', (part) => {
    said += String(part)
  })
  await expect
    .poll(
      () =>
        fetch(home).then(
          ({ status }) => status,
          () => 0,
        ),
      { timeout: 20_000 },
    )
    .toBe(200)
})
test.afterAll(async () => {
  await end(server, 'SIGTERM')
  rmSync(folder, { recursive: true, force: true })
  if (hasNet) ip('netns', 'del', NET.name)
})

/** A device that was never here before. */
const device = async (browser: Browser) => {
  const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })
  return { page: await context.newPage(), request: context.request }
}

test('a phone is asked before it sees anything, is let in by the phrase, writes, and is signed out from the machine itself', async ({
  browser,
  page: atHome,
}) => {
  expect(said).toContain(`https://`)
  const { page, request } = await device(browser)
  for (const path of ['/api/find?name=A3', '/api/archive', '/history', '/api/pictures/file/x'])
    expect((await request.get(`${away}${path}`)).status(), path).toBe(401)
  expect((await request.post(`${away}/api/actions/1/undo`, { data: {} })).status()).toBe(401)
  // What a browser asks for on its own to put it among its apps, and what it is asked to trust.
  expect((await request.get(`${away}/manifest.webmanifest`)).status()).toBe(200)
  expect((await request.get(`${away}/offline.js`)).status()).toBe(401)
  const ca = await (await request.get(`${away}/lan/certificate.crt`)).text()
  const { hostname, port } = new URL(away)
  const trusted = await new Promise((resolve) => {
    const socket = connect({ host: hostname, port: Number(port), ca }, () => {
      resolve(socket.authorized)
      socket.end()
    })
    socket.once('error', resolve)
  })
  expect(trusted).toBe(true)
  await page.goto(away)
  await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
  expect(await page.content()).not.toContain('Lantern')
  const comeIn = async (words: string) => {
    await page.getByLabel('This device is called').fill('the phone at the harp')
    await page.getByLabel('Pass phrase').fill(words)
    await page.getByRole('button', { name: 'Come in' }).click()
  }
  await comeIn('wire on the top shelf')
  await expect(page.getByText('That is not the pass phrase.')).toBeVisible()
  await comeIn('gut on the top shelf')
  await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible()
  // What a microphone is given to.
  expect(await page.evaluate(() => [window.isSecureContext, 'mediaDevices' in navigator])).toEqual([
    true,
    true,
  ])
  const [cookie] = await page.context().cookies()
  expect(cookie).toMatchObject({ httpOnly: true, secure: true, sameSite: 'Strict' })
  const look = await page.evaluate(() =>
    fetch('/api/instruments/lovage/looks', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ number: 3, condition: 'fresh', signs: [] }),
    }).then(({ status }) => status),
  )
  expect(look).toBe(200)

  await atHome.goto(`${home}/lan/devices`)
  await expect(atHome.getByText('the phone at the harp')).toBeVisible()
  await atHome.getByRole('button', { name: 'Sign out' }).click()
  await expect(atHome.getByText('None.')).toBeVisible()
  await page.goto(away)
  await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
  // The list of devices is the machine's own.
  expect((await request.get(`${away}/lan/devices`)).status()).toBe(401)
})

test('a phone that trusts the house keeps the job that is open there, and nothing once it is signed out', async ({
  page: atHome,
}) => {
  // Chromium keeps pages only of a house that it trusts.
  const phone = await chromium.launch({
    ...CHROMIUM,
    args: [...CHROMIUM.args, '--ignore-certificate-errors'],
  })
  try {
    const { page, request } = await device(phone)
    await page.goto(away)
    await page.getByLabel('This device is called').fill('a phone that trusts')
    await page.getByLabel('Pass phrase').fill('gut on the top shelf')
    await page.getByRole('button', { name: 'Come in' }).click()
    await page.waitForURL(`${away}/`)
    const broke = { instrument: 'chervil', string: 4, site: 'mid-length' }
    const opened = await request.post(`${away}/api/breaks`, { data: broke, headers: { origin: away } })
    const { jobId } = (await opened.json()) as { jobId: number }
    await page.goto(`${away}/jobs/${jobId}/coil`)
    await page.getByRole('button', { name: 'Cut from this' }).first().click()
    await page.waitForURL('**/figures')
    await page.goto(`${away}/jobs/${jobId}/steps`)
    await expect.poll(() => keptPages(page)).toContain(`/jobs/${jobId}/steps`)
    await page.context().setOffline(true)
    await page.reload()
    await expect(page.getByText(/^Step 1 of/)).toBeVisible()
    await page.context().setOffline(false)
    await atHome.goto(`${home}/lan/devices`)
    await atHome
      .getByRole('listitem')
      .filter({ hasText: 'a phone that trusts' })
      .getByRole('button', { name: 'Sign out' })
      .click()
    await expect(atHome.getByText('a phone that trusts')).toBeHidden()
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
    expect(await page.evaluate(() => caches.keys())).toEqual([])
  } finally {
    await phone.close()
  }
})

test('an owner’s pass lets look only, and whoever guesses waits', async ({ browser }) => {
  const { page } = await device(browser)
  await page.goto(away)
  const comeIn = async (words: string) => {
    await page.getByLabel('This device is called').fill('an owner')
    await page.getByLabel('Pass phrase').fill(words)
    await page.getByRole('button', { name: 'Come in' }).click()
  }
  await comeIn('the harp by the door')
  await page.goto(`${away}/instruments/lovage`)
  await expect(page.getByText('Lovage').first()).toBeVisible()
  const tried = await page.evaluate(() =>
    fetch('/api/instruments/lovage/looks', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ number: 3, condition: 'fresh', signs: [] }),
    }).then(async (answer) => [answer.status, ((await answer.json()) as { sentence: string }).sentence]),
  )
  expect(tried).toEqual([403, 'This pass lets look only.'])
  expect(await page.evaluate(() => fetch('/api/archive').then(({ status }) => status))).toBe(403)

  const { page: guesser } = await device(browser)
  await guesser.goto(away)
  for (let guess = 0; guess < 6; guess += 1) {
    await guesser.getByLabel('This device is called').fill('x')
    await guesser.getByLabel('Pass phrase').fill(`guess number ${guess}`)
    await guesser.getByRole('button', { name: 'Come in' }).click()
  }
  await expect(guesser.getByText('Too many wrong phrases.')).toBeVisible()
})

test('a request that breaks off ends nothing but itself', async () => {
  const { hostname, port } = new URL(away)
  for (const sent of ['POST /lan/enter HTTP/1.1\r\nHost: ', 'GET / HTTP/1.1\r\nHost: ']) {
    await new Promise<void>((resolve) => {
      const socket = connect({ host: hostname, port: Number(port), rejectUnauthorized: false }, () => {
        socket.write(
          `${sent}${hostname}:${port}\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\nname=x`,
          () => setTimeout(() => socket.destroy(), 200),
        )
      })
      socket.once('close', () => resolve())
      socket.once('error', () => resolve())
    })
  }
  expect((await fetch(home)).status).toBe(200)
})

test('from another address of another network it is the same', () => {
  test.skip(!hasNet, 'this machine lets nobody make a network')
  const port = new URL(away).port
  /** What a phone there gets, told by its status: first as a stranger, then with the phrase, then by its cookie. */
  const phone = `
    const https = require('node:https')
    const ask = (method, path, headers = {}, body = '') => new Promise((resolve, reject) => {
      const asking = https.request({ host: '${NET.here}', port: ${port}, method, path, rejectUnauthorized: false,
        headers: { ...headers, ...(body ? { 'content-type': 'application/x-www-form-urlencoded', 'content-length': body.length } : {}) } },
        (answer) => { answer.resume(); resolve(answer) })
      asking.on('error', reject)
      asking.end(body)
    })
    void (async () => {
      const stranger = await ask('GET', '/history')
      const otherSite = await ask('POST', '/lan/enter', { origin: 'https://evil.example' }, 'name=x&phrase=gut+on+the+top+shelf')
      const entered = await ask('POST', '/lan/enter', {}, 'name=phone&phrase=gut+on+the+top+shelf')
      const cookie = (entered.headers['set-cookie'] ?? [''])[0].split(';')[0]
      const known = await ask('GET', '/history', { cookie })
      console.log([stranger, otherSite, entered, known].map(({ statusCode }) => statusCode).join())
    })()`
  const { stdout } = spawnSync('ip', ['netns', 'exec', NET.name, process.execPath, '-e', phone], {
    encoding: 'utf8',
  })
  expect(stdout.trim()).toBe('401,403,303,200')
  // Without its network it is not reached at all.
  const plain = spawnSync(
    'ip',
    [
      'netns',
      'exec',
      NET.name,
      process.execPath,
      '-e',
      `fetch('http://${NET.here}:${new URL(home).port}').then(() => console.log('reached'), () => console.log('not reached'))`,
    ],
    { encoding: 'utf8' },
  )
  expect(plain.stdout.trim()).toBe('not reached')
})
