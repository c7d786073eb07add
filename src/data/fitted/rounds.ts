/**
 * Rounds of tuning: begun, string by string, and ended. What each string was found at and left at is kept; it teaches what
 * the strings do to each other, and how those that settle do so.
 */
import { and, asc, desc, eq, inArray, isNull, ne, sql } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { leadingNames } from '@/core/instrument/names'
import type { RoundOrder } from '@/core/rounds/tuning-round'
import { signed } from '@/core/pitch/cents'
import type { Note } from '@/core/pitch/note'
import { offEqual, type Temperament } from '@/core/temper/temperament'
import { readDegrees, temperamentNamed, writeDegrees } from '../workshop/temperaments'
import {
  allInstruments,
  byPositionId,
  instrumentBySlug,
  positionId as idOfPosition,
  type StoredInstrument,
} from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { roundReadings, tuningRounds } from '../store/schema'
import { stringsOn } from './fitted'
import { keepReading } from './settling'

export interface Round {
  readonly id: number
  readonly startedAt: number
  readonly endedAt: number | null
  readonly temperament: Temperament
  readonly order: RoundOrder
  /** A string is in tune within so many cents. */
  readonly within: number
}

export interface RoundReading {
  readonly roundId: number
  readonly positionId: number
  readonly at: number
  /** Cents from where the round's temperament has it; where it was left is null where it was only heard. */
  readonly found: number
  readonly left: number | null
}

export interface NewRound {
  readonly slug: string
  readonly temperament: string
  readonly order: RoundOrder
  readonly within: number
}

const roundFrom = (row: typeof tuningRounds.$inferSelect): Round => ({
  id: row.id,
  startedAt: row.startedAt,
  endedAt: row.endedAt,
  temperament: { name: row.temperament, cents: readDegrees(row.degrees) },
  order: row.tuneOrder,
  within: row.withinCents,
})

/** An instrument's last rounds, the latest first. */
export function lastRounds(store: Store, instrumentId: number, most: number): readonly Round[] {
  return store
    .prepared('last rounds', (rows) =>
      rows
        .select()
        .from(tuningRounds)
        .where(eq(tuningRounds.instrumentId, sql.placeholder('instrumentId')))
        .orderBy(desc(tuningRounds.startedAt), desc(tuningRounds.id))
        .limit(sql.placeholder('most'))
        .prepare(),
    )
    .all({ instrumentId, most })
    .map(roundFrom)
}

/** What was read in some rounds, in order. */
export function readingsIn(store: Store, rounds: readonly Pick<Round, 'id'>[]): readonly RoundReading[] {
  const ids = rounds.map(({ id }) => id)
  if (ids.length === 0) return []
  return store.rows
    .select()
    .from(roundReadings)
    .where(inArray(roundReadings.roundId, ids))
    .orderBy(asc(roundReadings.at), asc(roundReadings.id))
    .all()
    .map(({ roundId, positionId, at, foundCents, leftCents }) => ({
      roundId,
      positionId,
      at,
      found: foundCents,
      left: leftCents,
    }))
}

/** Begins a round; Refusal 409 where one of the instrument is going on. */
export function beginRound(
  store: Store,
  { slug, temperament: name, order, within }: NewRound,
): Done<{ roundId: number }> {
  const { id: instrumentId, instrument } = instrumentBySlug(store, slug)
  const temperament = temperamentNamed(store, name)
  const open = store.rows
    .select({ id: tuningRounds.id })
    .from(tuningRounds)
    .where(and(eq(tuningRounds.instrumentId, instrumentId), isNull(tuningRounds.endedAt)))
    .get()
  if (open) throw new Refusal(409, `A round of ${instrument.name} is going on already.`)
  return store.act({ kind: 'round', instrumentId, summary: `A round of ${instrument.name} begun` }, () => ({
    roundId: store.rows
      .insert(tuningRounds)
      .values({
        instrumentId,
        startedAt: store.now(),
        temperament: temperament.name,
        degrees: writeDegrees(temperament),
        tuneOrder: order,
        withinCents: within,
      })
      .returning({ id: tuningRounds.id })
      .get().id,
  }))
}

export interface RoundString {
  /** Number of the position. */
  readonly number: number
  readonly found: number
  readonly left: number | null
}

/** Keeps what one string was found at and left at; Refusal 404 or 409 where no such round goes on. */
export function logRoundString(
  store: Store,
  roundId: number,
  { number, found: cents, left }: RoundString,
): Done<void> {
  const { round, stored } = openRound(store, roundId)
  const { instrument, id: instrumentId } = stored
  const positionId = idOfPosition(stored, number)
  const { position, habits } = byPositionId(store, positionId)
  const fitted = stringsOn(store, instrumentId).find(({ positionIds }) => positionIds.includes(positionId))
  const off = offEqual(round.temperament, position.note)
  const was = offAtLast(store, positionId, position.note)
  const said = `found at ${centsWord(cents)}${left === null ? '' : `, left at ${centsWord(left)}`}`
  const { name } = leadingNames(position, habits.octaveNames)
  return store.act(
    { kind: 'round', instrumentId, summary: `${name} of ${instrument.name} ${said} cents` },
    () => {
      store.rows
        .insert(roundReadings)
        .values({ roundId, positionId, at: store.now(), foundCents: cents, leftCents: left })
        .run()
      // Its settling is counted from where it was tuned to last, whatever temperament that was in.
      if (fitted && left !== null)
        keepReading(store, fitted, {
          fittedId: fitted.id,
          positionId,
          cents: Math.max(-1200, Math.min(300, cents + off - was)),
          // One that was let be goes on from where it was tuned before.
          broughtBack: left !== cents,
        })
    },
  )
}

/** Ends a round; Refusal 404 or 409 where no such round goes on. */
export function endRound(store: Store, roundId: number): Done<void> {
  const { stored } = openRound(store, roundId)
  const { instrument, id: instrumentId } = stored
  return store.act({ kind: 'round', instrumentId, summary: `The round of ${instrument.name} ended` }, () => {
    store.rows.update(tuningRounds).set({ endedAt: store.now() }).where(eq(tuningRounds.id, roundId)).run()
  })
}

/** How far from equal temperament a string was left when it was last tuned in a round, cents; none is 0. */
function offAtLast(store: Store, positionId: number, note: Note): number {
  const row = store
    .prepared('temperament of a string', (rows) =>
      rows
        .select({ degrees: tuningRounds.degrees })
        .from(roundReadings)
        .innerJoin(tuningRounds, eq(tuningRounds.id, roundReadings.roundId))
        .where(
          and(
            eq(roundReadings.positionId, sql.placeholder('positionId')),
            ne(roundReadings.leftCents, roundReadings.foundCents),
          ),
        )
        .orderBy(desc(roundReadings.at), desc(roundReadings.id))
        .limit(1)
        .prepare(),
    )
    .get({ positionId })
  return row ? offEqual({ cents: readDegrees(row.degrees) }, note) : 0
}

function openRound(
  store: Store,
  roundId: number,
): { readonly round: Round; readonly stored: StoredInstrument } {
  const row = found(
    store.rows.select().from(tuningRounds).where(eq(tuningRounds.id, roundId)).get(),
    `There is no round ${roundId}.`,
  )
  if (row.endedAt !== null) throw new Refusal(409, 'That round has ended. Begin another.')
  const stored = found(
    allInstruments(store).find(({ id }) => id === row.instrumentId),
    'The instrument of that round is no longer on the shelf.',
  )
  return { round: roundFrom(row), stored }
}

const centsWord = (cents: number) => signed(Math.round(cents * 10) / 10)
