import type { Call, Sent } from '@/boundary/calls'

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
      /** False where the program gave none. */ readonly answered: boolean
    }

/** Waits before an action without an answer is sent again, ms. */
const AGAIN_AFTER = [400, 1500] as const

/** Keys of actions that got no answer yet, by what was asked: a second try of the same is the same action. */
const unanswered = new Map<string, string>()

/** @param body - sent as JSON, except where the call only asks */
export async function send<Body extends object, T extends object>(
  { path, method }: Call<Body, T>,
  body: Sent<Body>,
): Promise<Answer<T>> {
  if (method === 'GET')
    return (
      (await tryOnce<T>(path, {})) ?? {
        ok: false,
        sentence: 'The program did not answer. Try again.',
        field: null,
        answered: false,
      }
    )
  const json = JSON.stringify(body)
  const asked = `${method} ${path} ${json}`
  const key = unanswered.get(asked) ?? crypto.randomUUID()
  unanswered.set(asked, key)
  for (let tries = 0; ; tries += 1) {
    const answer = await tryOnce<T>(path, {
      method,
      headers: { 'content-type': 'application/json', 'x-action-key': key },
      body: json,
    })
    if (answer) {
      unanswered.delete(asked)
      return answer
    }
    const wait = AGAIN_AFTER[tries]
    if (wait === undefined)
      return {
        ok: false,
        sentence:
          'The program did not answer, so it is not known whether this was written. Try again: it is the same action, and is not done twice.',
        field: null,
        answered: false,
      }
    await new Promise((resolve) => {
      setTimeout(resolve, wait)
    })
  }
}

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
      answered: true,
    }
  } catch {
    return null
  }
}
