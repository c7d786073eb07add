/**
 * One action is carried out once, however often it is sent: the answer is kept with its key in the same transaction, and
 * given again to whoever sends that key again.
 */
import { eq, lt } from 'drizzle-orm'
import { DAY } from '@/core/units/time'
import type { Store } from './database'
import { Refusal } from '@/boundary/refusal'
import { answeredRequests } from './schema'

/** How long an answer is kept for a sender that did not get it, ms. */
const KEPT = 7 * DAY

/**
 * Checks and writes are one transaction, so that whoever writes meanwhile, in another program too, comes before all of it or after.
 *
 * @param key - the sender's own for this action; null where it gave none, and nothing is kept
 * @param asked - what is asked, in a few characters: the same key for something else is refused
 * @param answer - carries it out; whatever it throws leaves nothing written, and nothing kept
 */
export function idempotent(store: Store, key: string | null, asked: string, answer: () => object): object {
  const carryOut = store.rows.$client.transaction(() => {
    if (key === null) return answer()
    const known = store.rows.select().from(answeredRequests).where(eq(answeredRequests.key, key)).get()
    if (known && known.asked !== asked) throw new Refusal(409, 'This key belongs to another action.')
    if (known) return JSON.parse(known.answer) as object
    const answered = answer()
    store.rows
      .delete(answeredRequests)
      .where(lt(answeredRequests.at, Date.now() - KEPT))
      .run()
    store.rows
      .insert(answeredRequests)
      .values({ key, asked, answer: JSON.stringify(answered), at: Date.now() })
      .run()
    return answered
  })
  const before = store.cache.writes
  try {
    return carryOut.immediate()
  } catch (error) {
    store.cache.forgetSince(before)
    throw error
  }
}
