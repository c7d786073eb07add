import type { Endpoint, RequestBody } from '@/boundary/endpoint'

/**
 * Sends what a person did to the server and brings back what became of it. Each action has a key of its own: sent again, it
 * is the same action and is never done twice.
 */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false
      readonly sentence: string
      readonly field: string | null
      /** Of HTTP; 0 where the program gave no answer. */
      readonly status: number
    }

/** An action as it is sent. */
export interface QueuedRequest {
  readonly key: string
  readonly path: string
  readonly method: string
  /** What is asked, as JSON. */
  readonly json: string
}

/** What is told of an action that waited. */
interface Waited {
  /** s since it was done */
  readonly ago: number
  /** Who was at the bench then, as the cookie had it. */
  readonly by: string | undefined
  /** ms that an answer is waited for */
  readonly patience: number
}

/** Waits before an action without an answer is sent again, ms. */
const AGAIN_AFTER = [400, 1500] as const

/** Keys of actions that got no answer yet, by what was asked: a second try of the same is the same action. */
const unanswered = new Map<string, string>()

/** @param body - sent as JSON, except where the call only asks */
export async function send<Body extends object, T extends object>(
  { path, method }: Endpoint<Body, T>,
  body: RequestBody<Body>,
): Promise<Answer<T>> {
  if (method === 'GET')
    return (await tryOnce<T>(path, {})) ?? noAnswer('The program did not answer. Try again.')
  const json = JSON.stringify(body)
  const asked = `${method} ${path} ${json}`
  const key = unanswered.get(asked) ?? crypto.randomUUID()
  unanswered.set(asked, key)
  const answer = await sendQueued<T>({ key, path, method, json })
  if (answer.ok || answer.status !== 0) unanswered.delete(asked)
  return answer
}

/** Sends an action, three times where no answer comes; one that does not wait is waited for without end. */
export async function sendQueued<T extends object>(
  { key, path, method, json }: QueuedRequest,
  waited?: Waited,
): Promise<Answer<T>> {
  for (let tries = 0; ; tries += 1) {
    const answer = await tryOnce<T>(path, {
      method,
      headers: {
        'content-type': 'application/json',
        'x-action-key': key,
        ...(waited && waited.ago > 0 ? { 'x-done-ago': String(waited.ago) } : {}),
        ...(waited?.by === undefined ? {} : { 'x-done-by': waited.by }),
      },
      body: json,
      ...(waited ? { signal: AbortSignal.timeout(waited.patience) } : {}),
    })
    if (answer) return answer
    const wait = AGAIN_AFTER[tries]
    if (wait === undefined)
      return noAnswer(
        'The program did not answer, so it is not known whether this was written. Try again: it is the same action, and is not done twice.',
      )
    await new Promise((resolve) => {
      setTimeout(resolve, wait)
    })
  }
}

const noAnswer = (sentence: string) => ({ ok: false, sentence, field: null, status: 0 }) as const

/** One try; null where no answer came. */
async function tryOnce<T>(path: string, init: RequestInit): Promise<Answer<T> | null> {
  try {
    const response = await fetch(path, init)
    const json = (await response.json()) as T & { sentence?: string; field?: string | null }
    if (response.ok) return { ok: true, value: json }
    return {
      ok: false,
      sentence: json.sentence ?? 'That did not go through. Look in the history whether it was written.',
      field: json.field ?? null,
      status: response.status,
    }
  } catch {
    return null
  }
}
