/** What a person is told where something is refused; for tests. */
import { Refusal } from './refusal'

/** The sentence of the refusal that work ends in; empty where it is not refused. Whatever else it throws is thrown on. */
export function sentenceOf(work: () => unknown): string {
  try {
    work()
  } catch (error) {
    if (error instanceof Refusal) return error.message
    throw error
  }
  return ''
}
