/**
 * What was done while the house did not answer: kept on this device, and sent in the order it was done when the house is
 * back. Nothing that was done is lost: what the house does not take is told until it is put away.
 */
import type { Endpoint, RequestBody } from '@/boundary/endpoint'
import { benchIn } from '../shell/at-the-bench'
import { sendQueued, type Answer, type QueuedRequest } from '../shell/send'

/** One thing that waits. */
export interface Waiting extends QueuedRequest {
  /** What it is, in a person's words. */
  readonly said: string
  /** When it was done by this device's clock, ms. */
  readonly at: number
  /** Who was at the bench, as the cookie has it. */
  readonly by?: string
}

/** One thing that the house did not take. */
export interface NotTaken {
  readonly key: string
  readonly said: string
  /** Why. */
  readonly sentence: string
}

export interface Outbox {
  readonly waits: readonly Waiting[]
  readonly notTaken: readonly NotTaken[]
  /** Whether the house gave no answer when it was last asked. */
  readonly away: boolean
  /** How many things that had waited were taken since the page was opened. */
  readonly taken: number
}

const WAITS = 'waits for the house'
const NOT_TAKEN = 'not taken by the house'
/** An answer to something that waits is itself waited for so long, ms. */
const PATIENCE = 8000
/**
 * Answers that say nothing of what was asked: none at all, not let in, too often, or the house is in trouble. It is asked
 * again. Where the program failed at it, 500, it would again: that is told, and holds up nothing behind it.
 */
const ASK_AGAIN = [0, 401, 408, 421, 429, 502, 503, 504, 507]

const NOTHING: Outbox = { waits: [], notTaken: [], away: false, taken: 0 }
let shown: Outbox = NOTHING
/** The texts that `shown` was read from. */
let readFrom: readonly (string | null)[] = [null, null]
let away = false
let taken = 0
const listeners = new Set<() => void>()
/** Whoever waits on the page for the answer to something it sent. */
const asking = new Map<
  string,
  { readonly tells: boolean; readonly answer: (answer: Answer<object>) => void }
>()
let sending: Promise<void> | null = null

export const outboxOnServer = (): Outbox => NOTHING

/** As it is now; the same object until something changes. */
export function outboxNow(): Outbox {
  const texts = [WAITS, NOT_TAKEN].map((name) => localStorage.getItem(name))
  if (texts.some((text, i) => text !== readFrom[i]) || shown.away !== away || shown.taken !== taken) {
    shown = { waits: read<Waiting>(WAITS), notTaken: read<NotTaken>(NOT_TAKEN), away, taken }
    readFrom = texts
  }
  return shown
}

export function onOutbox(listener: () => void): () => void {
  listeners.add(listener)
  // Another window of this browser has written it.
  addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    removeEventListener('storage', listener)
  }
}

/**
 * Sends something, or keeps it until the house answers; always after what was done before it.
 *
 * @param said - what it is, in a person's words
 * @param tells - what is refused is told by the bar that tells what waited, and not by who asks
 * @param by - who did it, as the cookie has it; whoever is at the bench now, when left out
 * @returns the answer; `waits` where there was none, and it is kept
 */
export async function sendOrQueue<Body extends object, T extends object>(
  { path, method }: Endpoint<Body, T>,
  body: RequestBody<Body>,
  said: string,
  tells = false,
  by = benchIn(document.cookie),
): Promise<Answer<T> | 'waits'> {
  const one: Waiting = {
    ...(by === undefined ? {} : { by }),
    key: crypto.randomUUID(),
    path,
    method,
    json: JSON.stringify(body),
    said,
    at: Date.now(),
  }
  const answered = new Promise<Answer<object>>((answer) => asking.set(one.key, { tells, answer }))
  write(WAITS, [...read<Waiting>(WAITS), one])
  let answer = await Promise.race([answered, sendWaiting()])
  // What was being sent may have been through just as this was added.
  if (!answer && !away) answer = await Promise.race([answered, sendWaiting()])
  asking.delete(one.key)
  return (answer as Answer<T> | undefined) ?? 'waits'
}

/** Sends what waits, one after the other, in whichever window of this browser is first; done when no answer comes or nothing waits. */
export function sendWaiting(): Promise<void> {
  sending ??= alone(sendKept).finally(() => {
    sending = null
  })
  return sending
}

/** What the house did not take was read. */
export function putAway(keys: readonly string[]): void {
  write(
    NOT_TAKEN,
    read<NotTaken>(NOT_TAKEN).filter((one) => !keys.includes(one.key)),
  )
}

const alone = (work: () => Promise<void>) =>
  'locks' in navigator ? navigator.locks.request('sending what waits', work) : work()

async function sendKept(): Promise<void> {
  for (let [next] = read<Waiting>(WAITS); next; [next] = read<Waiting>(WAITS)) {
    const { key, said, at, by } = next
    // A clock that was set back meanwhile says nothing.
    const ago = Math.max(0, Math.round((Date.now() - at) / 1000))
    const answer = await sendQueued<object>(next, { ago, by, patience: PATIENCE })
    if (!answer.ok && ASK_AGAIN.includes(answer.status)) {
      away = true
      tell()
      return
    }
    const ask = asking.get(key)
    if (!answer.ok && (!ask || ask.tells))
      write(NOT_TAKEN, [...read<NotTaken>(NOT_TAKEN), { key, said, sentence: answer.sentence }])
    if (answer.ok && !ask) taken += 1
    away = false
    write(
      WAITS,
      read<Waiting>(WAITS).filter((one) => one.key !== key),
    )
    ask?.answer(answer)
  }
}

function read<One>(name: string): readonly One[] {
  const text = localStorage.getItem(name)
  return text === null ? [] : (JSON.parse(text) as readonly One[])
}

function write(name: string, all: readonly unknown[]): void {
  if (all.length === 0) localStorage.removeItem(name)
  else localStorage.setItem(name, JSON.stringify(all))
  tell()
}

function tell(): void {
  listeners.forEach((listener) => listener())
}
