/** What a browser is told with every answer: whom to trust, and what to keep. */

/** What a page may load: its own scripts by a name that is made anew each time, and the solver’s compiled code. */
export function contentPolicy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`,
    // Drawings are placed by styles of their own.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    "connect-src 'self' blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** By name; the policy of what may be loaded is beside them. */
export const SECURITY_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy':
    'microphone=(self), camera=(self), screen-wake-lock=(self), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), hid=(), display-capture=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
}

/** Scripts, looks and fonts are named for what they are, and may be kept; nothing of the house is. */
export const isCacheable = (url: string) =>
  /^\/(_next\/static\/|icon(\.svg|-\d+\.png)|apple-icon\.png)/.test(url)

/** What a browser asks for on its own, without saying who is at it, to put the program among its apps. Nothing of the house is in it. */
export const isOpenToAll = (url: string) =>
  /^\/(manifest\.webmanifest|icon(\.svg|-\d+\.png)|apple-icon\.png)(\?|$)/.test(url)
