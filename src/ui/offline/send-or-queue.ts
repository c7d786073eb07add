import { send } from '../shell/send'
import type { sendOrQueue as Deliver } from './outbox'

/**
 * As in the outbox, which comes once a page stands: no first load waits for it. Where the house was gone before it came,
 * whoever sends is told that there was no answer.
 */
export const sendOrQueue: typeof Deliver = async (call, body, said, tells, by) => {
  const outbox = await import('./outbox').catch(() => null)
  return outbox ? outbox.sendOrQueue(call, body, said, tells, by) : send(call, body)
}
