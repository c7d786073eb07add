/** What the server turns away before the program sees it, each with one sentence. */
import type { IncomingHttpHeaders } from 'node:http'

export interface Asked {
  readonly method: string
  /** Path and query, as they were sent. */
  readonly url: string
  readonly headers: IncomingHttpHeaders
}

export interface TurnedAway {
  readonly status: 400 | 403 | 405 | 411 | 413 | 415 | 421
  readonly sentence: string
}

/** Names by which a machine calls itself. */
const OWN_NAMES = ['127.0.0.1', 'localhost', '[::1]']

const READS = ['GET', 'HEAD']
const WRITES = ['POST', 'PUT', 'PATCH', 'DELETE']

const MB = 1e6
/** Most of a body, bytes, where more than words is meant: files, and the archive with its pictures. */
const MAX_BODIES: readonly (readonly [RegExp, number])[] = [
  [/^\/api\/archive(\/|$)/, 84 * MB],
  [/^\/api\/(instruments\/file|pictures|room|suppliers\/[^/]+\/catalogue)$/, 10 * MB],
]
const MOST_ELSEWHERE = 1 * MB
const MOST_ADDRESS = 8000

/** The desk takes an order’s lines as they are; everything else that writes is told in JSON. No form of another site can send either. */
const DESK = /^\/api\/desk\//

/**
 * Why a request is turned away; null where it may come in.
 *
 * @param names - further names that this machine is reached by, without a port
 */
export function turnedAway({ method, url, headers }: Asked, names: readonly string[]): TurnedAway | null {
  if (!READS.includes(method) && !WRITES.includes(method))
    return { status: 405, sentence: 'That is no way to ask for anything here.' }
  const path = pathOf(url)
  if (path === null) return { status: 400, sentence: 'This address can’t be read.' }
  const host = headers.host ?? ''
  if (![...OWN_NAMES, ...names].includes(nameIn(host)))
    return { status: 421, sentence: 'This house is not reached by that name.' }
  return READS.includes(method) ? null : writeTurnedAway(path, host, headers)
}

function writeTurnedAway(path: string, host: string, headers: IncomingHttpHeaders): TurnedAway | null {
  const site = headers['sec-fetch-site']
  const { origin } = headers
  if ((site !== undefined && site !== 'same-origin') || (origin !== undefined && hostIn(origin) !== host))
    return { status: 403, sentence: 'This request came from another site.' }
  const type = (headers['content-type'] ?? '').split(';')[0]?.trim().toLowerCase()
  if (type !== (DESK.test(path) ? 'text/csv' : 'application/json'))
    return {
      status: 415,
      sentence: DESK.test(path) ? 'The desk takes CSV.' : 'Expected JSON, got something else.',
    }
  const length = Number(headers['content-length'] ?? NaN)
  if (!Number.isInteger(length) || headers['transfer-encoding'] !== undefined)
    return { status: 411, sentence: 'Say how long it is before you send it.' }
  const most = MAX_BODIES.find(([where]) => where.test(path))?.[1] ?? MOST_ELSEWHERE
  if (length > most)
    return { status: 413, sentence: `That is too much at once: ${most / MB} MB are taken here at most.` }
  return null
}

/** The path alone, decoded; null where it can’t be read, is too long, or holds what no address has. */
function pathOf(url: string): string | null {
  if (!url.startsWith('/') || url.startsWith('//') || url.length > MOST_ADDRESS) return null
  try {
    const path = decodeURIComponent(url.split('?')[0] as string)
    decodeURIComponent((url.split('?')[1] ?? '').replaceAll('+', ' '))
    return /[\u0000-\u001f\u007f\\]/.test(path) ? null : path
  } catch {
    return null
  }
}

/** `127.0.0.1:3210` without its port. */
const nameIn = (host: string) => host.replace(/:\d{1,5}$/, '').toLowerCase()

/** Host and port of an origin; `null` and what is none have neither. */
function hostIn(origin: string): string | null {
  return /^https?:\/\/([^/]+)$/.exec(origin)?.[1] ?? null
}
