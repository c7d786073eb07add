/**
 * Tails left long on the neck: what waits to be trimmed, and the trimming, which books what is left of an uncut packet.
 */
import { asc, eq, isNull } from 'drizzle-orm'
import type { Habits } from '@/core/fitting/habits'
import { leadingNames } from '@/core/instrument/names'
import { withThe } from '@/core/instrument/with-the'
import { HOUR } from '@/core/units/time'
import { coilById, cutCoil } from '../stores/coils'
import type { Done, Store } from '../store/database'
import { fittedById, fittedByIds, type FittedString } from './fitted'
import { byPositionId } from '../instruments/instruments'
import { DUST, inMm, metres } from '../store/millimetres'
import { found, Refusal } from '@/boundary/refusal'
import { coils, fittings, parkedTails } from '../store/schema'

/** When a parked tail is due: after some hours, or after a week and a half of settling, h. */
const DUE_AFTER: Readonly<Record<Habits['tailTrim'], number>> = {
  'at once': 0,
  'after hours': 6,
  'after settling': 240,
}

export interface ParkedTail {
  readonly id: number
  readonly name: string
  readonly instrumentName: string
  readonly slug: string
  readonly number: number
  readonly parkedAt: number
  readonly dueAt: number
  /** The coil whose rest hangs there uncut; null where only a tail does. */
  readonly coil: { readonly label: string; readonly lengthLeft: number } | null
  /** The string broke or came off meanwhile. */
  readonly ended: boolean
}

/** Tails that wait to be trimmed, the one due first first. */
export function openTails(store: Store): readonly ParkedTail[] {
  const rows = store.rows
    .select({ tail: parkedTails, coil: { label: coils.label, leftMm: coils.leftMm } })
    .from(parkedTails)
    .leftJoin(coils, eq(coils.id, parkedTails.coilId))
    .where(isNull(parkedTails.trimmedAt))
    .orderBy(asc(parkedTails.parkedAt))
    .all()
  const fitted = new Map(
    fittedByIds(
      store,
      rows.map(({ tail }) => tail.fittedId),
    ).map((string) => [string.id, string]),
  )
  return rows
    .flatMap(({ tail, coil }) => tailFrom(store, tail, fitted.get(tail.fittedId), coil) ?? [])
    .sort((a, b) => a.dueAt - b.dueAt)
}

function tailFrom(
  store: Store,
  row: typeof parkedTails.$inferSelect,
  fitted: FittedString | undefined,
  coil: { readonly label: string; readonly leftMm: number } | null,
): ParkedTail | null {
  const positionId = fitted?.positionIds[0]
  if (!fitted || positionId === undefined) return null
  const { instrument, position, habits } = byPositionId(store, positionId)
  return {
    id: row.id,
    parkedAt: row.parkedAt,
    ended: fitted.endedAt !== null,
    dueAt: fitted.endedAt ?? row.parkedAt + DUE_AFTER[habits.tailTrim] * HOUR,
    name: leadingNames(position, habits.octaveNames).name,
    instrumentName: instrument.name,
    slug: instrument.slug,
    number: position.number,
    coil: coil && { label: coil.label, lengthLeft: metres(coil.leftMm) },
  }
}

/**
 * Logs that a tail was trimmed.
 *
 * @param left - what is left of the packet that hung there, m; null where none did
 * @throws Refusal 400 when it is missing, or more than the packet held
 */
export function trimTail(store: Store, id: number, left: number | null): Done<void> {
  const row = found(
    store.rows.select().from(parkedTails).where(eq(parkedTails.id, id)).get(),
    `There is no parked tail ${id}.`,
  )
  if (row.trimmedAt !== null) throw new Refusal(409, 'That tail is trimmed already.')
  const { coilId } = row
  const coil = coilId === null ? undefined : store.rows.select().from(coils).where(eq(coils.id, coilId)).get()
  const tail = found(
    tailFrom(store, row, fittedById(store, row.fittedId) ?? undefined, coil ?? null) ?? undefined,
    'The string of that tail is gone.',
  )
  if (coilId !== null && left === null)
    throw new Refusal(
      400,
      `Say how much is left of ${tail.coil?.label ?? 'its packet'}: that is what is booked now.`,
      'left',
    )
  const cut = coilId === null || left === null ? null : coilById(store, coilId).lengthLeft - left
  if (cut !== null && cut < DUST)
    throw new Refusal(
      400,
      `${tail.coil?.label ?? 'The packet'} held ${Math.round((tail.coil?.lengthLeft ?? 0) * 1000)} mm, and a string was made of it: less must be left.`,
      'left',
    )
  return store.act(
    {
      kind: 'trim',
      summary: `The tail of ${withThe(tail.name)} of ${tail.instrumentName} trimmed${cut === null ? '' : `; ${Math.round((left ?? 0) * 1000)} mm of ${tail.coil?.label ?? 'its packet'} left`}`,
    },
    () => {
      if (cut !== null && coilId !== null) {
        cutCoil(store, coilId, cut, row.jobId)
        store.rows
          .update(fittings)
          .set({ cutMm: inMm(cut) })
          .where(eq(fittings.fittedId, row.fittedId))
          .run()
      }
      store.rows.update(parkedTails).set({ trimmedAt: store.now() }).where(eq(parkedTails.id, id)).run()
    },
  )
}
