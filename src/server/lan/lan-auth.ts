/** Whoever comes over the house’s network is asked for the pass phrase before they see or write anything. */
import type { IncomingMessage, ServerResponse } from 'node:http'
import { Attempts } from './attempts'
import { Devices } from './devices'
import { askingPage, devicesPage } from './pages'
import { passOf } from './pass'
import { isOpenToAll } from '../response-headers'

const COOKIE = '__Host-house'
/** Where a device fetches what it is asked to trust. */
const ROOT = '/lan/certificate.crt'
/** A form of the server’s own is no longer than this, bytes. */
const LONGEST = 4000
/** Calls that only look. */
const LOOKS = /^\/api\/(find|pictures\/file)\b/

export class LanAuth {
  private readonly attempts = new Attempts()
  readonly devices: Devices

  /** @param root - what a device is asked to trust, as PEM */
  constructor(
    private readonly folder: string,
    private readonly root: string,
  ) {
    this.devices = new Devices(folder)
  }

  /** Whether a request goes on to the program; it is answered here where it does not. */
  async passes(request: IncomingMessage, response: ServerResponse): Promise<boolean> {
    const { url = '', method = '' } = request
    const [path] = url.split('?')
    if (path === '/lan/enter' && method === 'POST') {
      await this.enter(request, response)
      return false
    }
    if (isOpenToAll(url)) return true
    if (path === ROOT) {
      response.setHeader('content-type', 'application/x-x509-ca-cert')
      response.setHeader('content-disposition', 'attachment; filename="taut-pinset.crt"')
      response.end(this.root)
      return false
    }
    const device = this.devices.byToken(cookieOf(request), Date.now())
    if (!device) {
      answer(response, 401, url.startsWith('/api/') ? TOLD : askingPage(null), url)
      return false
    }
    if (
      device.pass === 'look only' &&
      (!['GET', 'HEAD'].includes(method) || (url.startsWith('/api/') && !LOOKS.test(url)))
    ) {
      answer(response, 403, '{"sentence":"This pass lets look only.","field":null}', url)
      return false
    }
    return true
  }

  /** The page on the machine itself where devices are signed out. Whether it was asked for. */
  async atHome(request: IncomingMessage, response: ServerResponse): Promise<boolean> {
    const path = (request.url ?? '').split('?')[0]
    if (path !== '/lan/devices' && path !== '/lan/out') return false
    if (path === '/lan/out' && request.method === 'POST')
      this.devices.signOut((await formOf(request)).get('id') ?? '', Date.now())
    answer(response, 200, devicesPage(this.devices.list(Date.now())), '')
    return true
  }

  private async enter(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const address = request.socket.remoteAddress ?? ''
    const form = await formOf(request)
    if (!this.attempts.mayTry(address, Date.now()))
      return answer(
        response,
        429,
        askingPage('Too many wrong phrases. Wait five minutes, and try again.'),
        '',
      )
    // Held against it before it is looked at: whoever asks many times at once gains nothing.
    this.attempts.wrong(address, Date.now())
    const pass = await passOf(this.folder, form.get('phrase') ?? '')
    if (!pass) return answer(response, 401, askingPage('That is not the pass phrase.'), '')
    this.attempts.right(address)
    const token = this.devices.issueToken(form.get('name')?.trim() || 'a device', pass, Date.now())
    response.setHeader(
      'set-cookie',
      `${COOKIE}=${token}; Path=/; Max-Age=2592000; HttpOnly; Secure; SameSite=Strict`,
    )
    response.setHeader('location', '/')
    answer(response, 303, '', '')
  }
}

const TOLD = '{"sentence":"Come in by the pass phrase first.","field":null}'

function cookieOf(request: IncomingMessage): string {
  return (
    (request.headers.cookie ?? '')
      .split(/;\s*/)
      .find((one) => one.startsWith(`${COOKIE}=`))
      ?.slice(COOKIE.length + 1) ?? ''
  )
}

async function formOf(request: IncomingMessage): Promise<URLSearchParams> {
  let text = ''
  for await (const part of request) {
    text += String(part)
    if (text.length > LONGEST) break
  }
  return new URLSearchParams(text.slice(0, LONGEST))
}

function answer(response: ServerResponse, status: number, body: string, url: string): void {
  response.statusCode = status
  response.setHeader(
    'content-type',
    url.startsWith('/api/') || body.startsWith('{') ? 'application/json' : 'text/html; charset=utf-8',
  )
  response.end(body)
}
