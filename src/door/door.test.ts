/** What the door turns away, and what it tells browsers; the folder that one program holds at a time. */
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { hold } from './hold'
import { turnedAway, type Asked } from './refused'
import { contentPolicy, mayBeKept } from './told'
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
  expect([mayBeKept('/_next/static/chunks/a.js'), mayBeKept('/api/archive'), mayBeKept('/')]).toEqual([
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
