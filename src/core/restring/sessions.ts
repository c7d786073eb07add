/** A restring over days: which goes fit into each session, and where one may stop. */
import { TO_CHANGE } from '../fitting/covered'
import type { Batch } from './batch'

export interface Session {
  /** Goes, from 0, that are done in it; the last may only be begun. */
  readonly from: number
  readonly to: number
  readonly minutes: number
  /**
   * How it stands overnight: all at pitch; or the new strings of a go left at half their pitch, since not all of them can be brought
   * up in one session.
   */
  readonly stops: 'at pitch' | 'at half pitch'
}

/** Share of the work on a string until it stands at half its pitch. */
const TO_HALF = 0.7

/**
 * What a go takes, min. Strings are put on side by side by as many hands as there are; they are tuned one after another, since
 * nobody hears their own string while another is tuned.
 *
 * @param shares - how many strings each pair of hands puts on; all by one where it is left out
 */
export const minutesOfGo = (
  { ids, minutes }: Pick<Batch, 'ids' | 'minutes'>,
  shares: readonly number[] = [ids.length],
): number => minutes + Math.max(0, ...shares) * TO_CHANGE.fitting + ids.length * TO_CHANGE.tuning

/**
 * Goes put into sessions, one after another. A go longer than a session is begun in one of its own, stands overnight at half
 * pitch, where it carries a quarter of its load, and is finished in the next.
 *
 * @param length - of a session, min
 * @param sharesOf - how many of some strings each pair of hands puts on
 * @throws RangeError with a sentence where a session has no time
 */
export function sessionsOf(
  goes: readonly Pick<Batch, 'ids' | 'minutes'>[],
  length: number,
  sharesOf: (ids: readonly number[]) => readonly number[] = (ids) => [ids.length],
): readonly Session[] {
  if (!(length > 0)) throw new RangeError('A session takes some minutes: nothing is done in none.')
  const sessions: Session[] = []
  let [from, minutes] = [0, 0]
  const close = (to: number, stops: Session['stops']) => {
    sessions.push({ from, to, minutes, stops })
    from = to + 1
    minutes = 0
  }
  goes.forEach((go, i) => {
    const takes = minutesOfGo(go, sharesOf(go.ids))
    if (minutes > 0 && minutes + takes > length) close(i - 1, 'at pitch')
    if (takes <= length) minutes += takes
    else {
      // Longer than any session: at half pitch it may wait, and the next begins with the rest of it.
      minutes = takes * TO_HALF
      close(i, 'at half pitch')
      from = i
      minutes = takes * (1 - TO_HALF)
    }
  })
  if (minutes > 0) close(goes.length - 1, 'at pitch')
  return sessions
}
