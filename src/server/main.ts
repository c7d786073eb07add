/**
 * The server of a workshop: `node main.js PORT`. It holds the folder, turns away what should not come in, tells browsers whom to
 * trust, and closes the house when it is told to stop.
 */
import next from 'next'
import { randomBytes } from 'node:crypto'
import { mkdirSync, readFileSync } from 'node:fs'
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { createServer as createSecure } from 'node:https'
import { hostname, networkInterfaces } from 'node:os'
import path from 'node:path'
import { toString } from 'qrcode'
import { hold, type Hold } from './hold'
import { ownCertificate, rootOf, type Certificate } from './lan/certificate'
import { LanAuth } from './lan/lan-auth'
import { hasPass } from './lan/pass'
import { turnedAway } from './refusals'
import { contentPolicy, isCacheable, SECURITY_HEADERS } from './response-headers'
import { plainPage, troublePage, type Trouble } from './trouble-page'

/** What the program, which is in bundles of its own, shares with the server. */
const shared = globalThis as {
  /** Why the house can’t be served just now; null where it can. */
  tautTrouble?: () => Trouble | null
  tautClose?: () => void
}

/** A connection stays open longer than a server before this one, or a browser, goes on using it, ms: none is closed in its face. */
const STAYS_OPEN = 75_000

/** Whoever stops the server waits no longer than this for answers that are on their way, ms. */
const PATIENCE = 3000

async function serve(port: number, folder: string): Promise<void> {
  const lanPort = Number(process.env.TAUT_LAN_PORT ?? 0)
  if (lanPort > 0) refuseLan(folder)
  const held = heldFolder(folder)
  const names = (process.env.TAUT_NAMES ?? '').split(',').filter(Boolean)
  const program = next({ dev: false, dir: process.cwd(), hostname: '127.0.0.1', port })
  await program.prepare()
  const answer = program.getRequestHandler()
  const lanNames = namesOfMachine(names)
  const certificate =
    lanPort > 0 ? await ownCertificate(folder, [...lanNames, '127.0.0.1'], Date.now()) : null
  const gate = certificate && new LanAuth(folder, rootOf(certificate.cert))
  const server = createServer((request, response) =>
    answered(response, async () => {
      if (!isLetIn(request, response, names)) return
      if (await gate?.atHome(request, response)) return
      if (!givesAway(request, response) && isWell(request, response)) await answer(request, response)
    }),
  )
  server.keepAliveTimeout = STAYS_OPEN
  server.once('error', refusePort(port))
  server.listen(port, '127.0.0.1')
  const lan = gate && (await lanServer(lanPort, certificate, lanNames, gate, answer))
  const stop = () => {
    const end = () => {
      shared.tautClose?.()
      held?.release()
      process.exit(0)
    }
    server.close(end)
    server.closeIdleConnections()
    lan?.close()
    lan?.closeIdleConnections()
    setTimeout(end, PATIENCE).unref()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
}

/**
 * The folder, held. Where it can’t be, because it is none or can’t be written, the house is told of on its page: null.
 */
function heldFolder(folder: string): Hold | null {
  try {
    mkdirSync(folder, { recursive: true })
    const held = hold(folder, `process ${process.pid} since ${new Date().toISOString().slice(0, 16)}Z`)
    if (!('heldBy' in held)) return held
    process.stderr.write(
      `The house in ${folder} is being served already, by ${held.heldBy}. Stop that one first; nothing was touched.\n`,
    )
  } catch (error) {
    process.stderr.write(`The folder ${folder} can’t be held: ${(error as Error).message}\n`)
    return null
  }
  process.exit(3)
}

/** What keeps a house from its network: nobody is let in without a phrase, and the demo never goes out. */
function refuseLan(folder: string): void {
  const why = process.env.TAUT_DEMO_DATE
    ? 'The demo stays on this machine.'
    : hasPass(folder)
      ? null
      : 'Set a pass phrase first: bin/pass-phrase.'
  if (why === null) return
  process.stderr.write(`${why}\n`)
  process.exit(2)
}

/** What is said where a port can't be listened on. */
const refusePort = (port: number) => (error: NodeJS.ErrnoException) => {
  const why =
    error.code === 'EADDRINUSE' ? 'is taken by another program: name another in PORT' : error.message
  process.stderr.write(`Port ${port} ${why}.\n`)
  process.exit(1)
}

/** What this machine is called by others in the house's network: its addresses first. */
function namesOfMachine(given: readonly string[]): readonly [string, ...string[]] {
  const addresses = Object.values(networkInterfaces()).flatMap((all) =>
    (all ?? []).flatMap(({ address, family, internal }) => (family === 'IPv4' && !internal ? [address] : [])),
  )
  const host = hostname().toLowerCase()
  return [...addresses, host, `${host}.local`, ...given] as [string, ...string[]]
}

/** Serves the house’s network over HTTPS, and shows where. */
async function lanServer(
  port: number,
  certificate: Certificate,
  names: readonly [string, ...string[]],
  gate: LanAuth,
  answer: (request: IncomingMessage, response: ServerResponse) => Promise<void>,
) {
  const lan = createSecure(certificate, (request, response) =>
    answered(response, async () => {
      // What is printed leads back here.
      request.headers['x-forwarded-proto'] = 'https'
      if (!isLetIn(request, response, names) || !(await gate.passes(request, response))) return
      // A stranger is not told what ails the house.
      if (!givesAway(request, response) && isWell(request, response)) await answer(request, response)
    }),
  )
  lan.keepAliveTimeout = STAYS_OPEN
  lan.once('error', refusePort(port))
  lan.listen(port, '0.0.0.0')
  const url = `https://${names[0]}:${port}`
  process.stdout.write(
    `On the house’s network: ${url}\n${await toString(url, { type: 'terminal', small: true })}\nThe certificate is the house’s own: a phone asks once whether to trust it.\nDevices that were let in: http://127.0.0.1:${process.argv[2]}/lan/devices\n`,
  )
  return lan
}

/** Answers, whatever goes wrong meanwhile: a request that breaks off must end nothing but itself. */
function answered(response: ServerResponse, work: () => Promise<void>): void {
  work().catch((error: Error) => {
    process.stderr.write(`${error.stack ?? error.message}\n`)
    if (!response.headersSent) response.statusCode = 500
    response.end()
  })
}

/** What answers on a device while the house does not. */
const AWAY = '/offline.js'

/** A form of the server itself, which no other page may send either. */
const DOORS_OWN = /^\/lan\/(enter|out)$/

function isLetIn(request: IncomingMessage, response: ServerResponse, names: readonly string[]): boolean {
  const { method = '', url = '', headers } = request
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(name, value)
  const isApi = url.startsWith('/api/')
  const asked = DOORS_OWN.test(url) ? { ...headers, 'content-type': 'application/json' } : headers
  const away = turnedAway({ method, url, headers: asked }, names)
  if (away) {
    response.setHeader('content-security-policy', contentPolicy(''))
    response.setHeader('connection', 'close')
    refuse(response, away.status, isApi, away.sentence, plainPage('Taut Pinset', `<p>${away.sentence}</p>`))
    return false
  }
  if (isCacheable(url)) return true
  keepNothing(response)
  const nonce = randomBytes(16).toString('base64')
  const policy = contentPolicy(nonce)
  // The program reads the name of its scripts from here.
  request.headers['content-security-policy'] = policy
  response.setHeader('content-security-policy', policy)
  return true
}

/** Gives the script that answers on a device; whether it was asked for. */
function givesAway({ url }: IncomingMessage, response: ServerResponse): boolean {
  if (url !== AWAY) return false
  response.setHeader('content-type', 'text/javascript; charset=utf-8')
  response.end(readFileSync(path.join(__dirname, '..', 'offline', 'worker.js')))
  return true
}

/** Whether the house can be served just now; it is told where it can't. */
function isWell(request: IncomingMessage, response: ServerResponse): boolean {
  const { url = '' } = request
  const trouble = isCacheable(url) ? null : (shared.tautTrouble?.() ?? null)
  if (!trouble) return true
  const { sentence, todo } = trouble
  refuse(response, 503, url.startsWith('/api/'), `${sentence} ${todo}`, troublePage(trouble))
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
