/**
 * Sends what a person did to the server and brings back what became of it.
 */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly sentence: string; readonly field: string | null; /** False where the program gave none. */ readonly answered: boolean }

/**
 * @param path - of a route handler
 * @param body - sent as JSON; without one it is only asked
 */
export async function send<T>(path: string, body?: object, method: 'POST' | 'PATCH' | 'PUT' = 'POST'): Promise<Answer<T>> {
  try {
    const response = await fetch(path, body ? { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {})
    const json = (await response.json()) as T & { sentence?: string; field?: string | null }
    if (response.ok) return { ok: true, value: json }
    return { ok: false, sentence: json.sentence ?? 'That did not go through.', field: json.field ?? null, answered: true }
  } catch {
    return { ok: false, sentence: 'The program did not answer. Nothing was changed; try again.', field: null, answered: false }
  }
}
