/**
 * The boundary of every route handler: reads JSON, checks it with class-validator, answers refusals with one sentence.
 */
import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { isRefusal, Refusal } from '../refusal'

interface SaidNo {
  readonly sentence: string
  readonly field: string | null
}

/**
 * Answers a request.
 *
 * @param request - its body is JSON
 * @param shape - class whose decorators say what is right; its messages are shown to people
 * @param answer - carries it out; what it returns goes back as JSON
 * @returns 200, or 400, 404 or 409 with `{ sentence, field }`
 */
export function handle<T extends object>(request: Request, shape: new () => T, answer: (body: T) => object): Promise<Response> {
  return answerTo(async () => {
    if (request.headers.get('sec-fetch-site') === 'cross-site') throw new Refusal(400, 'This request came from another site.')
    return answer(checked(await bodyOf(request), shape))
  })
}

/** Answers with JSON, and refusals with their status and sentence. */
export async function answerTo(answer: () => object | Promise<object>): Promise<Response> {
  try {
    return Response.json(await answer())
  } catch (error) {
    if (isRefusal(error)) return said({ sentence: error.message, field: error.field }, error.status)
    if (error instanceof RangeError) return said({ sentence: error.message, field: null }, 400)
    throw error
  }
}

/** A whole number out of a path, or a 404 with the sentence given. */
export function idFrom(text: string, sentence: string): number {
  if (!/^\d{1,9}$/.test(text)) throw new Refusal(404, sentence)
  return Number(text)
}

/** For handlers that take nothing but their path. */
export class Nothing {}

async function bodyOf(request: Request): Promise<unknown> {
  try {
    return await request.json()
  } catch {
    throw new Refusal(400, 'Expected JSON, got something else.')
  }
}

function checked<T extends object>(json: unknown, shape: new () => T): T {
  if (typeof json !== 'object' || json === null || Array.isArray(json)) throw new Refusal(400, 'Expected a JSON object.')
  const body = plainToInstance(shape, json)
  const [error] = validateSync(body, { whitelist: true, forbidUnknownValues: false, stopAtFirstError: true })
  if (error) throw new Refusal(400, sentenceOf(error), error.property)
  return body
}

function sentenceOf(error: ValidationError): string {
  return Object.values(error.constraints ?? {})[0] ?? `${error.property} is not right.`
}

function said(body: SaidNo, status: number): Response {
  return Response.json(body, { status })
}
