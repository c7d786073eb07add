/**
 * Answers on a device while the house does not: with the pages of the job or drill that is open there, and what draws
 * them. It keeps nothing else, and forgets even that when another is opened, or the device is signed out.
 */

/** What a page asks of it: to be kept, with others that belong to it and what draws them; or to forget what it kept. */
interface Asked {
  /** Addresses of pages, the open one first. */
  readonly keep: readonly string[]
  /** Addresses of what the open page has fetched, its pictures among them. */
  readonly drawnBy: readonly string[]
}

const worker = self as unknown as ServiceWorkerGlobalScope

const KEPT = 'open'
/** A house out of reach often gives no answer at all: a page is waited for no longer than this, ms. */
const PATIENCE = 5000
/** What draws pages, named for what it is; and pictures of the job. */
const DRAWS = /^\/(_next\/static\/|api\/pictures\/file\/|icon)/

worker.addEventListener('install', () => void worker.skipWaiting())
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()))

worker.addEventListener('message', (event) => {
  const { keep, drawnBy } = event.data as Asked
  event.waitUntil(keep.length === 0 ? caches.delete(KEPT) : keepPages(keep, drawnBy))
})

worker.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== worker.location.origin) return
  if (request.mode === 'navigate') event.respondWith(page(request))
  else if (DRAWS.test(pathname)) event.respondWith(drawn(request))
})

/**
 * Keeps these pages and all that they can ever be drawn by, and lets all others go. A page comes last: what is kept of
 * it is whole, and where a part can't be had, what was kept before stays.
 */
async function keepPages(pages: readonly string[], drawnBy: readonly string[]): Promise<void> {
  const before = forgotten
  const wanted = new Set<string>()
  const answers = new Map<string, Response>()
  for (const address of pages) {
    const answer = await fetch(address, { headers: { accept: 'text/html' } })
    if (answer.status === 401) return forget()
    if (!answer.ok || answer.redirected) continue
    const text = await answer.clone().text()
    answers.set(address, answer)
    for (const one of namedIn(text)) wanted.add(one)
  }
  for (const address of drawnBy) if (DRAWS.test(address)) wanted.add(address)
  const cache = await caches.open(KEPT)
  const had = (await cache.keys()).map(({ url }) => pathOf(url))
  // Scripts name scripts that are wanted later: round by round, until none names another.
  for (let round = [...wanted]; round.length > 0;) {
    const named = (await Promise.all(round.map((one) => keptPart(cache, one)))).flat()
    round = [...new Set(named)].filter((one) => !wanted.has(one))
    for (const one of round) wanted.add(one)
  }
  for (const [address, answer] of answers) await cache.put(address, answer)
  for (const one of had) if (!wanted.has(one) && !answers.has(one)) await cache.delete(one)
  // Signed out meanwhile: nothing that was asked for before stays.
  if (forgotten !== before) await caches.delete(KEPT)
}

/**
 * Keeps what a page is drawn by, if it is not kept yet.
 *
 * @returns the addresses of what it names in its turn: scripts for later, faces
 * @throws TypeError where the house does not give it
 */
async function keptPart(cache: Cache, address: string): Promise<readonly string[]> {
  let kept = await cache.match(address)
  if (!kept) {
    await cache.add(address).catch(() => cache.add(address))
    kept = await cache.match(address)
  }
  return kept && NAMES_MORE.test(address) ? namedIn(await kept.text()) : []
}

/** Scripts and styles name what is fetched only when it is first wanted: it can't be while the house is away. */
const NAMES_MORE = /\.(?:js|css)$/

/** What is named in a page, a script or a style: from the root, from the folder of what is static, or from beside it. */
const namedIn = (text: string): readonly string[] =>
  Array.from(
    text.matchAll(/(?:static|\.\.)\/((?:chunks|media)\/[\w~%-][\w.~%-]*\.(?:js|css|woff2))/g),
    ([, file]) => `/_next/static/${file as string}`,
  )

/** How often all was forgotten since this worker began. */
let forgotten = 0

async function forget(): Promise<void> {
  forgotten += 1
  await caches.delete(KEPT)
}

/** A page as the house gives it; as it was kept where the house gives none. */
async function page(request: Request): Promise<Response> {
  try {
    // A page’s own request takes no signal with it.
    const answer = await Promise.race([fetch(request), outOfPatience()])
    // Signed out: nothing of the house stays here.
    if (answer.status === 401) await forget()
    return answer
  } catch {
    const cache = await caches.open(KEPT)
    return (await cache.match(request, { ignoreSearch: true, ignoreVary: true })) ?? noPage(cache)
  }
}

const outOfPatience = () =>
  new Promise<never>((_, reject) => {
    setTimeout(() => reject(new Error('no answer')), PATIENCE)
  })

async function drawn(request: Request): Promise<Response> {
  const kept = await caches.match(request, { cacheName: KEPT, ignoreVary: true })
  return kept ?? fetch(request)
}

/** Says that the house is away, and leads to what is open here. */
async function noPage(cache: Cache): Promise<Response> {
  const kept = (await cache.keys()).map(({ url }) => pathOf(url)).filter((one) => !DRAWS.test(one))
  const links = await Promise.all(
    kept.map(async (address) => {
      const text = (await (await cache.match(address))?.text()) ?? ''
      const [, title = address] = /<title>([^<·]*)/.exec(text) ?? []
      return `<p><a href="${address}">${title}</a></p>`
    }),
  )
  return new Response(
    `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>The house does not answer</title>
<style>body{font:18px/1.5 system-ui,sans-serif;max-width:34rem;margin:12vh auto 0;padding:0 1.2rem;color:#1d1d1b;background:#f6f3ea}
h1{font-size:1.5rem}a{display:inline-block;min-height:44px;color:#1f5d50;font-weight:600}
@media(prefers-color-scheme:dark){body{color:#eee8da;background:#171512}a{color:#7fc4b0}}</style>
<h1>The house does not answer</h1>
<p>This page is not kept on this device. ${kept.length ? 'What is open here goes on without the house:' : 'Nothing is open here that goes on without it.'}</p>
${links.join('\n')}
<p><a href="">Try again</a></p></html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  )
}

function pathOf(url: string): string {
  const { pathname, search } = new URL(url)
  return pathname + search
}
