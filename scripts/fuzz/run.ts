/** Requests at random, seeded, to every handler of a server: what was answered, and what went wrong. */
import { request as ask, Agent } from 'node:http'
import { seeded } from '@/core/random/seeded'
import { allHandlers, allPages, type Handler } from './handlers'
import { allShapes, bodyFor } from './bodies'
import { hostile, ID_LIKE, INSTRUMENTS, pick, SUPPLIERS, WORDS } from './values'

export interface FuzzResult {
  readonly asked: number
  readonly accepted: number
  readonly refused: number
  /** What should never be, each with what it was asked by. */
  readonly faults: readonly string[]
  /** ms that the slowest answer took, and to what. */
  readonly slowest: { readonly ms: number; readonly to: string }
}

/** What an engine or a library says, and no person. */
const NOT_FOR_PEOPLE =
  /Maximum call stack|is not a function|Cannot (read|convert|destructure)|undefined|\bNaN\b|SQLITE|UNIQUE constraint|must be (a|an|one)|should not|Unexpected token|\[object/

const QUERIES = [
  'look',
  'page',
  'string',
  'date',
  'pieces',
  'as',
  'seed',
  'delay',
  'accepted',
  'name',
  'q',
  'pictures',
  'knot',
  'job',
  'steps',
  'before',
  'of',
]
/** One request in so many is for a page. */
const PAGES_SHARE = 0.1
/** What would end the run, or takes another house in: asked by tests of its own. */
const LEFT_OUT = /^\/api\/visit$/

/**
 * @param base - of the server’s addresses
 * @param written - tells the state of what is written, in a few characters: a refused request must leave it as it was
 */
export async function fuzz(
  base: string,
  count: number,
  seed: number,
  written: () => string,
  said: (done: number) => void = () => {},
): Promise<FuzzResult> {
  const random = seeded(seed)
  const shapes = allShapes()
  const handlers = allHandlers().filter(({ address }) => !LEFT_OUT.test(address))
  const pages = allPages()
  const unknown = handlers.find(
    ({ method, shape }) => method !== 'GET' && shape !== null && !shapes.has(shape),
  )
  if (unknown) throw new Error(`expected a class for ${unknown.method} ${unknown.address}, got none`)
  const files = await instrumentFiles(base)
  const agent = new Agent({ keepAlive: true, maxSockets: 4 })
  const faults = new Map<string, string>()
  let [accepted, refused] = [0, 0]
  let slowest = { ms: 0, to: '' }
  for (let i = 0; i < count; i += 1) {
    const handler = pick(random() < PAGES_SHARE ? pages : handlers, random)
    const address = addressOf(handler, random)
    const body = handler.method === 'GET' ? null : bodyOf(handler, shapes, files, random)
    const before = written()
    const began = performance.now()
    const { status, text } = await sent(agent, base, handler.method, address, body)
    const ms = performance.now() - began
    if (ms > slowest.ms) slowest = { ms, to: `${handler.method} ${handler.address}` }
    if (status < 300) accepted += 1
    else refused += 1
    const sentence = status >= 400 ? text : ''
    const fault =
      status >= 500
        ? `answered ${status}: ${text}`
        : handler.address.startsWith('/api/') && NOT_FOR_PEOPLE.test(sentence)
          ? text
          : status >= 300 && written() !== before
            ? `refused, and something was written: ${text}`
            : null
    if (fault)
      faults.set(
        `${handler.method} ${handler.address} ${fault.slice(0, 80)}`,
        `${handler.method} ${address} ${(body ?? '').slice(0, 400)} → ${fault.slice(0, 300)}`,
      )
    if (i % 1000 === 999) said(i + 1)
  }
  agent.destroy()
  return { asked: count, accepted, refused, faults: [...faults.values()], slowest }
}

function addressOf({ address, method }: Handler, random: () => number): string {
  const path = address.replace(/\[(\w+)\]/g, (_, name: string) => {
    if (random() < 0.06)
      return encodeURIComponent(String(pick(['x', '..', '999999999', 'constructor', '-1', '0', 'ü'], random)))
    if (name === 'slug') return pick(address.includes('/instruments/') ? INSTRUMENTS : SUPPLIERS, random)
    return String(1 + Math.floor(random() * 60))
  })
  if (method !== 'GET' && random() < 0.9) return path
  const queries = Array.from(
    { length: Math.floor(random() * 3) },
    () =>
      `${pick(QUERIES, random)}=${encodeURIComponent(String(pick([...WORDS, ...ID_LIKE, '1,2,3', 'json', 'csv'], random)))}`,
  )
  return queries.length === 0 ? path : `${path}?${queries.join('&')}`
}

function bodyOf(
  { address, shape }: Handler,
  shapes: ReturnType<typeof allShapes>,
  files: readonly object[],
  random: () => number,
): string {
  if (address.startsWith('/api/desk/'))
    return pick(['part,packs\nNONE,1\n', 'part\n', '', 'part,packs\n"', '\u0000'], random)
  if (random() < 0.03) return pick(['null', '5', '"x"', '[]', '{', '[{}]', '{"a":', 'true'], random)
  const type = shape === null ? undefined : shapes.get(shape)
  const body = type ? bodyFor(type, random) : {}
  if (address === '/api/instruments/file' && random() < 0.9)
    body.text = JSON.stringify(spoilt(pick(files, random), random))
  return JSON.stringify(body)
}

/** The open files of some instruments, to be spoilt. */
async function instrumentFiles(base: string): Promise<readonly object[]> {
  return Promise.all(
    INSTRUMENTS.slice(0, 4).map(
      async (slug) => (await (await fetch(`${base}/api/instruments/${slug}/chart?as=json`)).json()) as object,
    ),
  )
}

/** A copy with one or two of its values changed, wherever they lie. */
export function spoilt(file: object, random: () => number): object {
  const copy = structuredClone(file)
  for (let times = 1 + Math.floor(random() * 2); times > 0; times -= 1) {
    let at = copy as Record<string, unknown>
    for (;;) {
      const name = pick(Object.keys(at), random)
      if (name === undefined) break
      const inner = at[name]
      if (typeof inner === 'object' && inner !== null && Object.keys(inner).length > 0 && random() < 0.85)
        at = inner as Record<string, unknown>
      else {
        if (random() < 0.2) delete at[name]
        else at[name] = hostile(random)
        break
      }
    }
  }
  return copy
}

function sent(
  agent: Agent,
  base: string,
  method: string,
  address: string,
  body: string | null,
): Promise<{ readonly status: number; readonly text: string }> {
  const { hostname, port } = new URL(base)
  return new Promise((resolve, reject) => {
    const asking = ask(
      {
        agent,
        hostname,
        port,
        method,
        path: address,
        headers:
          body === null
            ? {}
            : {
                'content-type': address.startsWith('/api/desk/') ? 'text/csv' : 'application/json',
                'content-length': Buffer.byteLength(body),
              },
      },
      (answer) => {
        let text = ''
        answer.setEncoding('utf8')
        answer.on('data', (part: string) => {
          if (text.length < 2000) text += part
        })
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }))
        answer.on('error', reject)
      },
    )
    asking.on('error', reject)
    asking.end(body ?? undefined)
  })
}
