/**
 * The air of the room, as it was read: by hand, from a logger's file, or by a hygrometer.
 */
import { asc, gte } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import type { RoomReading } from '@/core/settle/room'
import { DAY } from '@/core/units/time'
import type { Done, Store } from '../store/database'
import { roomReadings } from '../store/schema'

const HALF_HOUR = 1_800_000
/** Older readings say nothing of a string that settles, nor of a material as it is strung now, days. */
const READ_BACK = 730

/** What was read of the air in the last two years, the earliest first. */
export function roomReadingsOf(store: Store): readonly RoomReading[] {
  return store.cache.get('room', [roomReadings], () =>
    store.rows
      .select()
      .from(roomReadings)
      .where(gte(roomReadings.at, store.now() - READ_BACK * DAY))
      .orderBy(asc(roomReadings.at), asc(roomReadings.id))
      .all()
      .map(({ at, celsius, humidity }) => ({ at, celsius, humidity })),
  )
}

/**
 * Keeps readings as one action. A logger writes every few minutes: one for each half hour is kept, and none where one is
 * kept already.
 *
 * @throws Refusal 409 when nothing of them is new, 400 where one is of a time to come
 */
export function keepRoomReadings(store: Store, readings: readonly RoomReading[]): Done<{ kept: number }> {
  const slot = (at: number) => Math.floor(at / HALF_HOUR)
  if (readings.some(({ at }) => at > store.now() + DAY))
    throw new Refusal(
      400,
      'One of these readings is of a time to come: look at the clock of the logger.',
      'readings',
    )
  const taken = new Set(roomReadingsOf(store).map(({ at }) => slot(at)))
  const fresh = readings.filter(({ at }) => {
    if (taken.has(slot(at))) return false
    taken.add(slot(at))
    return true
  })
  if (fresh.length === 0)
    throw new Refusal(
      409,
      readings.length === 1
        ? 'The room was read in this half hour already.'
        : 'All of these are kept already.',
    )
  const summary = fresh.length === 1 ? 'The room read' : `${fresh.length} readings of the room kept`
  return store.act({ kind: 'room', summary }, () => {
    for (const { at, celsius, humidity } of fresh)
      store.rows.insert(roomReadings).values({ at, celsius, humidity }).run()
    return { kept: fresh.length }
  })
}
