/**
 * A go of practice that has begun, kept on this device until it is through: a drill that is left half way goes on where it
 * was, and what was answered is never lost.
 */
import { endpoints } from '@/boundary/endpoints'
import type { RequestBody } from '@/boundary/endpoint'
import type { PracticeRequest } from '@/boundary/requests/practice'
import type { Answer } from '@/core/practice/question'
import { sendOrQueue } from '@/ui/offline/send-or-queue'
import { benchIn } from '@/ui/shell/at-the-bench'

/** An answer with when it was given by this device’s clock, ms. */
export interface GivenAt extends Answer {
  readonly at: number
}

export interface Begun {
  /** Tells this go from every other: its questions follow from it. */
  readonly key: string
  /** Where it goes on. */
  readonly address: string
  readonly title: string
  readonly count: number
  /** Who was at the bench, as the cookie has it. */
  readonly by: string | undefined
  readonly answers: readonly GivenAt[]
}

const NAME = 'practice that has begun'

/** What is half done here; null where nothing is. */
export function begunHere(): Begun | null {
  const text = localStorage.getItem(NAME)
  return text === null ? null : (JSON.parse(text) as Begun)
}

export const benchHere = () => benchIn(document.cookie)

export function keepBegun(begun: Begun): void {
  localStorage.setItem(NAME, JSON.stringify(begun))
}

/** Sends what was answered, or keeps it until the house answers; then nothing is half done. */
export async function sendBegun(begun: Begun): Promise<'kept' | 'waits' | string> {
  const now = Date.now()
  const answers: RequestBody<PracticeRequest>['answers'] = begun.answers.map(({ at, ...answer }) => ({
    ...answer,
    // A clock that was set back since says nothing.
    ago: Math.min(MONTH, Math.max(0, Math.round((now - at) / 1000))),
  }))
  localStorage.removeItem(NAME)
  if (answers.length === 0) return 'kept'
  const said = `${begun.title}: ${answers.length === 1 ? 'one answer' : `${answers.length} answers`}`
  const answer = await sendOrQueue(endpoints.keepPractice, { answers }, said, false, begun.by)
  if (answer === 'waits') return 'waits'
  if (answer.ok) return 'kept'
  // Who may only look has not lost it: whoever may write sends it later.
  if (NOT_ALLOWED.includes(answer.status)) keepBegun(begun)
  return answer.sentence
}

const NOT_ALLOWED = [401, 403]

/** Older than this nothing is sent as it was, s. */
const MONTH = 30 * 86_400
