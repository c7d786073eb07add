/** What the server turns away, and what it tells browsers; the folder that one program holds at a time. */
import { createPublicKey, X509Certificate } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { hold } from './hold'
import { Attempts } from './lan/attempts'
import { ownCertificate, rootOf } from './lan/certificate'
import { Devices } from './lan/devices'
import { hasPass, passOf, setPass } from './lan/pass'
import { turnedAway, type Asked } from './refusals'
import { contentPolicy, isCacheable } from './response-headers'
import { troublePage } from './trouble-page'

const write = (headers: Asked['headers'] = {}, url = '/api/jobs', method = 'POST'): Asked => ({
  method,
  url,
  headers: {
    host: '127.0.0.1:3210',
    'content-type': 'application/json',
    'content-length': '2',
    ...headers,
  },
})
const read = (headers: Asked['headers'], url = '/'): Asked => ({
  method: 'GET',
  url,
  headers: { host: '127.0.0.1:3210', ...headers },
})

describe('what comes in', () => {
  test.each<[string, Asked, readonly string[]]>([
    ['a page', read({}), []],
    ['by the name of the machine', read({ host: 'localhost' }), []],
    ['by the short way through six', read({ host: '[::1]:3210' }), []],
    ['by a name that was given', read({ host: 'Harp.local:3210' }), ['harp.local']],
    ['its own page writes', write({ origin: 'http://127.0.0.1:3210', 'sec-fetch-site': 'same-origin' }), []],
    ['a program that is no browser', write(), []],
    ['an order for the desk', write({ 'content-type': 'text/csv; charset=utf-8' }, '/api/desk/weir'), []],
    ['a file of nine megabytes', write({ 'content-length': '9000000' }, '/api/instruments/file'), []],
    ['an address with signs', read({}, '/instruments?look=5%20%25%20%C3%A4&look=2'), []],
  ])('%s', (_, asked, names) => expect(turnedAway(asked, names)).toBeNull())
})

describe('what is turned away', () => {
  const port = '127.0.0.1:3210'
  test.each<[string, Asked, number]>([
    ['a name that leads here from elsewhere', read({ host: 'rebound.example:3210' }), 421],
    ['no name', read({ host: '' }), 421],
    ['a name that only begins well', read({ host: '127.0.0.1.example:3210' }), 421],
    ['another site', write({ origin: 'http://other.example' }), 403],
    ['another port', write({ origin: 'http://127.0.0.1:8080' }), 403],
    ['a page without an origin', write({ origin: 'null' }), 403],
    ['another site by its mark alone', write({ 'sec-fetch-site': 'cross-site' }), 403],
    ['a sister site', write({ 'sec-fetch-site': 'same-site', origin: `http://${port}` }), 403],
    ['a form', write({ 'content-type': 'application/x-www-form-urlencoded' }), 415],
    ['plain text', write({ 'content-type': 'text/plain' }), 415],
    ['nothing that says what it is', write({ 'content-type': undefined }), 415],
    ['JSON for the desk', write({}, '/api/desk/weir'), 415],
    ['more than a megabyte of words', write({ 'content-length': '1000001' }), 413],
    ['more than ten of a file', write({ 'content-length': '10000001' }, '/api/instruments/file'), 413],
    ['no length', write({ 'content-length': undefined }), 411],
    ['a length and pieces', write({ 'transfer-encoding': 'chunked' }), 411],
    ['a path that does not decode', read({}, '/api/%E0%A4%A'), 400],
    ['a query that does not decode', read({}, '/?look=%C3'), 400],
    ['a zero in a path', read({}, '/instruments/a%00b'), 400],
    ['a path up and out', read({}, '/instruments/..%5c..%5cx'), 400],
    ['an address of another machine', read({}, '//evil.example/'), 400],
    ['an address without end', read({}, `/${'a'.repeat(9000)}`), 400],
    ['another method', { ...read({}), method: 'TRACE' }, 405],
  ])('%s', (_, asked, status) => {
    const away = turnedAway(asked, [])
    expect(away?.status).toBe(status)
    expect(away?.sentence).toMatch(/^[A-Z].*\.$/)
  })
})

test('scripts run by a name of their own, and no page may frame this one', () => {
  const policy = contentPolicy('abc')
  expect(policy).toMatch(/script-src 'self' 'nonce-abc' 'wasm-unsafe-eval';/)
  expect(policy).not.toMatch(/script-src[^;]*'unsafe-(inline|eval)'/)
  expect(policy).toContain("frame-ancestors 'none'")
  expect([isCacheable('/_next/static/chunks/a.js'), isCacheable('/api/archive'), isCacheable('/')]).toEqual([
    true,
    false,
    false,
  ])
})

test('a trouble is told as it is, whatever is in the folder’s name', () => {
  const page = troublePage({ sentence: '/data/<b>"x"</b> is spoilt.', todo: 'Bring back a backup.' })
  expect(page).toContain('/data/&lt;b&gt;&quot;x&quot;&lt;/b&gt; is spoilt.')
  expect(page).toContain('Nothing was touched.')
})

test('one program holds a folder; the next is told who, and has it when it is given back', () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-hold-'))
  try {
    const first = hold(folder, 'process 7')
    expect('release' in first).toBe(true)
    expect(hold(folder, 'process 8')).toEqual({ heldBy: 'process 7' })
    if ('release' in first) first.release()
    const next = hold(folder, 'process 8')
    expect('release' in next).toBe(true)
    if ('release' in next) next.release()
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
})

describe('over the house’s network', () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'taut-lan-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  test('each phrase lets do what it is for, a wrong one nothing, and none is kept as it is', async () => {
    expect(hasPass(folder)).toBe(false)
    await expect(setPass(folder, 'everything', 'short')).rejects.toThrow(/10 letters at least/)
    await setPass(folder, 'everything', 'gut on the top shelf')
    await setPass(folder, 'look only', 'only the owners')
    await setPass(folder, 'everything', 'wire on the top shelf')
    expect(hasPass(folder)).toBe(true)
    expect(await passOf(folder, ' wire on the top shelf ')).toBe('everything')
    expect(await passOf(folder, 'only the owners')).toBe('look only')
    expect(await passOf(folder, 'gut on the top shelf')).toBeNull()
    const kept = readFileSync(path.join(folder, 'lan', 'pass.json'), 'utf8')
    expect(kept).not.toContain('shelf')
    for (const { salt } of JSON.parse(kept) as { salt: string }[])
      expect(Buffer.from(salt, 'base64').length).toBeGreaterThanOrEqual(16)
    expect(statSync(path.join(folder, 'lan', 'pass.json')).mode & 0o077).toBe(0)
  })
  test('a device stays for a month, is known by its token alone, and is signed out', () => {
    const now = Date.UTC(2026, 10, 27)
    const devices = new Devices(folder)
    const token = devices.issueToken('the phone', 'everything', now)
    const other = devices.issueToken('the tablet', 'look only', now)
    expect(readFileSync(path.join(folder, 'lan', 'devices.json'), 'utf8')).not.toContain(token)
    // A server that is started anew knows them still.
    const again = new Devices(folder)
    expect(again.byToken(token, now)?.name).toBe('the phone')
    expect(again.byToken('another', now)).toBeNull()
    again.signOut(again.byToken(token, now)!.id, now)
    expect(again.byToken(token, now)).toBeNull()
    expect(again.byToken(other, now + 31 * 86_400_000)).toBeNull()
  })
  test('whoever guesses waits, and so does everybody where many guess', () => {
    const attempts = new Attempts()
    for (let i = 0; i < 5; i += 1) {
      expect(attempts.mayTry('10.0.0.9', i)).toBe(true)
      attempts.wrong('10.0.0.9', i)
    }
    expect(attempts.mayTry('10.0.0.9', 10)).toBe(false)
    expect(attempts.mayTry('10.0.0.8', 10)).toBe(true)
    for (let i = 0; i < 25; i += 1) attempts.wrong(`10.0.1.${i}`, 20)
    expect(attempts.mayTry('10.0.0.8', 30)).toBe(false)
    expect(attempts.mayTry('10.0.0.9', 301_000)).toBe(true)
  })
  test('its certificate names the machine, is kept, and is made anew where the machine is called otherwise', async () => {
    const now = Date.now()
    const first = await ownCertificate(folder, ['192.168.7.5', 'harp.local'], now)
    const { subjectAltName, publicKey } = new X509Certificate(first.cert)
    expect(subjectAltName).toBe('IP Address:192.168.7.5, DNS:harp.local')
    expect(publicKey.asymmetricKeyType).toBe('ec')
    const root = new X509Certificate(rootOf(first.cert))
    expect(root.ca && new X509Certificate(first.cert).verify(root.publicKey)).toBe(true)
    // Nothing else can ever be signed by it: its key is nowhere.
    expect(
      readdirSync(path.join(folder, 'lan'))
        .filter((name) => name.endsWith('.pem'))
        .sort(),
    ).toEqual(['cert.pem', 'key.pem'])
    expect(createPublicKey(first.key).equals(root.publicKey)).toBe(false)
    expect(await ownCertificate(folder, ['192.168.7.5'], now)).toEqual(first)
    expect(await ownCertificate(folder, ['192.168.7.6'], now)).not.toEqual(first)
    expect(statSync(path.join(folder, 'lan', 'key.pem')).mode & 0o077).toBe(0)
  })
})
