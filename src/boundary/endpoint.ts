/** One thing that a page can ask the program to do: its address, what it takes and what comes back. */
import type { Nothing } from './handle'

/** What came of an action: its number, by which it is undone. */
export interface ActionResult {
  readonly actionId: number
}

/**
 * One thing that can be asked.
 *
 * @typeParam Body - the request class
 * @typeParam Answer - what comes back when it is done
 */
export interface Endpoint<Body extends object, Answer extends object = ActionResult> {
  readonly path: string
  readonly method: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE'
  /** Only for the types; never set. */
  readonly types?: { readonly body: Body; readonly answer: Answer }
}

/**
 * A request as a page sends it: every field of the class and no other. Words come as they were chosen or typed, and what
 * is no number as null; whether they are right is said by the class, where they arrive.
 */
export type RequestBody<Body> = { readonly [Key in keyof Body]: RequestField<Body[Key]> }

type RequestField<Value> = Value extends readonly (infer One)[]
  ? readonly RequestField<One>[]
  : Value extends object
    ? RequestBody<Value>
    : Value extends string
      ? string
      : Value extends number
        ? number | null
        : Value

export const ask = <Answer extends object>(path: string): Endpoint<Nothing, Answer> => ({
  path,
  method: 'GET',
})
export const post = <Body extends object, Answer extends object = ActionResult>(
  path: string,
): Endpoint<Body, Answer> => ({
  path,
  method: 'POST',
})
export const patch = <Body extends object, Answer extends object = ActionResult>(
  path: string,
): Endpoint<Body, Answer> => ({
  path,
  method: 'PATCH',
})
export const put = <Body extends object>(path: string): Endpoint<Body> => ({ path, method: 'PUT' })
