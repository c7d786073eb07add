/** Bodies that nobody should send, to every handler that writes: each is answered, none is a fault, and the books stay whole. */
import Database from 'better-sqlite3'
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from './served'

test.use({ copy: 'hostile' })

const METHODS = ['POST', 'PATCH', 'PUT', 'DELETE'] as const
type Method = (typeof METHODS)[number]

const filesIn = (folder: string, name: RegExp) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => name.test(file))
    .sort()
    .map((file) => path.join(folder, file))

/** Every handler that writes, with ids that are there. */
const HANDLERS = filesIn('src/app/api', /route\.ts$/).flatMap((file) => {
  const source = readFileSync(file, 'utf8')
  const address = path
    .dirname(file)
    .replace('src/app', '')
    .replace('suppliers/[slug]', 'suppliers/weir-and-wharf')
    .replace('desk/[slug]', 'desk/gannet-street')
    .replace('[slug]', 'lovage')
    .replace('[ticket]', '1')
    .replace('[id]', '1')
  return METHODS.filter((method) =>
    new RegExp(`export (async )?function ${method}\\b|export const ${method}\\b`).test(source),
  ).map((method) => ({ address, method }))
})

/** The name of every field that any request has. */
const FIELDS = [
  ...new Set(
    [
      ...filesIn('src/boundary/requests', /\.ts$/),
      ...filesIn('src/boundary', /^string-request\.ts$/),
    ].flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/^\s+(?:@.*\) )?(?:readonly )?(\w+)[!?]?:/gm)].map(
        ([, name]) => name as string,
      ),
    ),
  ),
]

const VALUES: readonly unknown[] = [
  null,
  -1,
  0,
  1,
  0.5,
  1e308,
  2 ** 31,
  '',
  ' ',
  '__proto__',
  'x'.repeat(6000),
  '1e308',
  '−5 mm',
  [],
  [null],
  [1, 1, 1],
  [{}],
  {},
  { length: 5 },
  true,
]
const BODIES: readonly unknown[] = [
  null,
  5,
  'x',
  [],
  [{}],
  {},
  ...VALUES.map((value) => Object.fromEntries(FIELDS.map((field) => [field, value]))),
]

test('every handler answers every body, and writes nothing that it refuses', async ({ request, served }) => {
  test.setTimeout(300_000)
  expect(HANDLERS.length).toBeGreaterThanOrEqual(35)
  expect(FIELDS.length).toBeGreaterThan(40)
  const actions = () => {
    const database = new Database(path.join(served.folder, 'taut-pinset.sqlite'), { readonly: true })
    const { n } = database.prepare('select count(*) as n from action').get() as { n: number }
    database.close()
    return n
  }
  for (const { address, method } of HANDLERS) {
    const before = actions()
    let accepted = 0
    for (const body of BODIES) {
      const response = await request.fetch(address, {
        method: method satisfies Method,
        headers: { 'content-type': 'application/json' },
        data: JSON.stringify(body),
      })
      expect([method, address, JSON.stringify(body).slice(0, 60), response.status() < 500]).toEqual([
        method,
        address,
        JSON.stringify(body).slice(0, 60),
        true,
      ])
      if (response.ok()) accepted += 1
      else
        expect((await response.text()).length, `${method} ${address} ${response.status()}`).toBeGreaterThan(0)
    }
    expect([address, actions() - before <= accepted]).toEqual([address, true])
  }
  for (const page of [
    '/',
    '/instruments',
    '/instruments/lovage',
    '/stores',
    '/stores/small-things',
    '/orders',
    '/orders/suppliers',
    '/history?steps=shown',
    '/settling',
    '/settling/visits',
    '/settling/room',
    '/wear',
    '/wear/before',
    '/house',
    '/house/habits',
    '/knots',
  ]) {
    const response = await request.get(page)
    expect([page, response.status()]).toEqual([page, 200])
    expect(await response.text(), page).not.toContain('This page could not be drawn')
  }
})
