/**
 * The door of a served house: `node main.js PORT`. It holds the folder, turns away what should not come in, tells browsers whom to
 * trust, and closes the house when it is told to stop.
 */
import next from 'next'
import { randomBytes } from 'node:crypto'
import { mkdirSync } from 'node:fs'
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import path from 'node:path'
import { hold } from './hold'
import { turnedAway } from './refused'
import { contentPolicy, mayBeKept, TOLD } from './told'
import { troublePage, type Trouble } from './trouble-page'

/** What the program, which is in bundles of its own, shares with its door. */
const shared = globalThis as {
  /** Why the house can’t be served just now; null where it can. */
  tautTrouble?: () => Trouble | null
  tautClose?: () => void
}

/** Whoever stops the server waits no longer than this for answers that are on their way, ms. */
const PATIENCE = 3000

async function serve(port: number, folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true })
  const held = hold(folder, `process ${process.pid} since ${new Date().toISOString().slice(0, 16)}Z`)
  if ('heldBy' in held) {
    process.stderr.write(
      `The house in ${folder} is being served already, by ${held.heldBy}. Stop that one first; nothing was touched.\n`,
    )
    process.exit(3)
  }
  const names = (process.env.TAUT_NAMES ?? '').split(',').filter(Boolean)
  const program = next({ dev: false, dir: process.cwd(), hostname: '127.0.0.1', port })
  await program.prepare()
  const answer = program.getRequestHandler()
  const server = createServer((request, response) => {
    if (isLetIn(request, response, names)) void answer(request, response)
  })
  server.listen(port, '127.0.0.1')
  const stop = () => {
    const end = () => {
      shared.tautClose?.()
      held.release()
      process.exit(0)
    }
    server.close(end)
    server.closeIdleConnections()
    setTimeout(end, PATIENCE).unref()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
}

function isLetIn(request: IncomingMessage, response: ServerResponse, names: readonly string[]): boolean {
  const { method = '', url = '', headers } = request
  for (const [name, value] of Object.entries(TOLD)) response.setHeader(name, value)
  const isApi = url.startsWith('/api/')
  const away = turnedAway({ method, url, headers }, names)
  if (away) {
    response.setHeader('content-security-policy', contentPolicy(''))
    response.setHeader('connection', 'close')
    refuse(
      response,
      away.status,
      isApi,
      away.sentence,
      `<!doctype html><meta charset="utf-8"><p>${away.sentence}</p>`,
    )
    return false
  }
  if (mayBeKept(url)) return true
  keepNothing(response)
  const nonce = randomBytes(16).toString('base64')
  const policy = contentPolicy(nonce)
  // The program reads the name of its scripts from here.
  request.headers['content-security-policy'] = policy
  response.setHeader('content-security-policy', policy)
  const trouble = shared.tautTrouble?.() ?? null
  if (!trouble) return true
  refuse(response, 503, isApi, `${trouble.sentence} ${trouble.todo}`, troublePage(trouble))
  return false
}

function refuse(response: ServerResponse, status: number, isApi: boolean, sentence: string, page: string) {
  response.statusCode = status
  response.setHeader('content-type', isApi ? 'application/json' : 'text/html; charset=utf-8')
  response.end(isApi ? JSON.stringify({ sentence, field: null }) : page)
}

/** Whatever the program says of keeping an answer, it is of the house, and is not kept. */
function keepNothing(response: ServerResponse): void {
  const set = response.setHeader.bind(response)
  set('cache-control', 'no-store')
  response.setHeader = (name, value) => (name.toLowerCase() === 'cache-control' ? response : set(name, value))
}

const port = Number(process.argv[2])
if (!Number.isInteger(port) || port < 1 || port > 65_535) {
  process.stderr.write('Say on which port to serve: a number from 1 to 65535.\n')
  process.exit(2)
}
void serve(port, process.env.TAUT_DATA ?? path.join(process.cwd(), 'data'))
