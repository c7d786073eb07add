/**
 * The boundary of every route handler: reads JSON, checks it with class-validator, answers refusals with one sentence.
 */
import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { createHash } from 'node:crypto'
import { isWorkshopTrouble } from './workshop-trouble'
import { plainJson } from './plain-json'
import { isRefusal, Refusal } from './refusal'
import { validationMessage } from './validation-message'

interface SaidNo {
  readonly sentence: string
  readonly field: string | null
}

/** A key that a sender may give: letters, digits and hyphens. */
const ACTION_KEY = /^[A-Za-z0-9-]{8,64}$/

/**
 * Carries out what is asked in one transaction, its checks among it; once where it has a key, however often it is asked.
 *
 * @param key - the sender's own for this action; null where it gave none
 * @param asked - what is asked, in a few characters
 */
export type KeepOnce = (key: string | null, asked: string, answer: () => object) => object

/** How a request is answered where `keepOnce` remembers what was answered. */
export function handler(keepOnce: KeepOnce) {
  return <T extends object>(request: Request, shape: new () => T, answer: (body: T) => object) =>
    handle(request, shape, answer, keepOnce)
}

/**
 * Answers a request. One that names a key of its own in `x-action-key` is carried out once, however often it is sent.
 *
 * @param request - its body is JSON
 * @param shape - class whose decorators say what is right; its messages are shown to people
 * @param answer - carries it out; what it returns goes back as JSON
 * @returns 200, or 400, 404, 409, 500 or 507 with `{ sentence, field }`
 */
function handle<T extends object>(
  request: Request,
  shape: new () => T,
  answer: (body: T) => object,
  keepOnce: KeepOnce,
): Promise<Response> {
  const key = request.headers.get('x-action-key')
  return answerTo(async () => {
    const body = checked(await bodyOf(request), shape)
    if (key !== null && !ACTION_KEY.test(key)) throw new Refusal(400, 'The action’s key is not right.')
    return keepOnce(key, fingerprint(request, body), () => answer(body))
  }, true)
}

function fingerprint(request: Request, body: object): string {
  return createHash('sha256')
    .update(`${request.method} ${new URL(request.url).pathname} ${JSON.stringify(body)}`)
    .digest('base64url')
}

/**
 * Answers with JSON, and refusals with their status and sentence.
 *
 * @param answer - carries it out
 * @param whole - what it writes is one transaction, so that a fault leaves nothing written
 */
export async function answerTo(answer: () => object | Promise<object>, whole = false): Promise<Response> {
  try {
    return Response.json(await answer())
  } catch (error) {
    if (isWorkshopTrouble(error))
      return said({ sentence: `${error.message} ${error.todo}`, field: null }, 503)
    if (isRefusal(error)) return said({ sentence: error.message, field: error.field }, error.status)
    if (error instanceof RangeError && !isStack(error))
      return said({ sentence: error.message, field: null }, error.name === 'NoSuchString' ? 404 : 400)
    return said({ sentence: faultSentence(error, whole), field: null }, isDiskFull(error) ? 507 : 500)
  }
}

/** The engine’s own, which tells people nothing. */
const isStack = (error: RangeError) => error.message.startsWith('Maximum call stack')

const isDiskFull = (error: unknown) =>
  ['SQLITE_FULL', 'ENOSPC'].includes((error as { code?: string } | null)?.code ?? '')

/** What is known when something went wrong: only a whole transaction is known to have left nothing. */
function faultSentence(error: unknown, whole: boolean): string {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`)
  const left = whole ? 'Nothing of this was written.' : 'Look in the history whether it was written.'
  return isDiskFull(error)
    ? `The disk is full. ${left} Make room, and try again.`
    : `The program failed at this. ${left} What was logged before is safe.`
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
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new Refusal(400, 'Expected a JSON object.')
  const body = plainToInstance(shape, plainJson(json, 'isFile' in shape))
  const [error] = validateSync(body, { whitelist: true, forbidUnknownValues: false, stopAtFirstError: true })
  if (error) throw new Refusal(400, sentenceOf(error), fieldOf(error))
  return body
}

/** The innermost fault: what holds it says nothing of its own. */
function innermost(error: ValidationError): ValidationError {
  const [child] = error.children ?? []
  return child ? innermost(child) : error
}

function sentenceOf(error: ValidationError): string {
  const inner = innermost(error)
  const named = inner.property.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
  const said = validationMessage(
    inner,
    named.replace(/^./, (letter) => letter.toUpperCase()),
  )
  return /[.!?]$/.test(said) ? said : `${said}.`
}

/** Where it is: `lines.3.note`. */
function fieldOf({ property, children }: ValidationError): string {
  const [child] = children ?? []
  return child ? `${property}.${fieldOf(child)}` : property
}

function said(body: SaidNo, status: number): Response {
  return Response.json(body, { status })
}
