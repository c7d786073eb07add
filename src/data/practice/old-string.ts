/** *One old string*: a good string taken off and put back, to learn how. It is a job like any other, and cuts nothing. */
import { isNull } from 'drizzle-orm'
import { Refusal } from '@/boundary/refusal'
import { positionAt } from '@/core/instrument/instrument'
import { requireValue } from '@/core/list/require-value'
import { oldStrings, type OldString } from '@/core/practice/old-string'
import { chanceItBreaks } from '@/core/wear/life'
import { YEAR } from '@/core/wear/period'
import { stringsOn } from '../fitted/fitted'
import { agesBetween, conditionsSeen, workshopRates, stringLives } from '../fitted/lives'
import { positionId, type StoredInstrument } from '../instruments/instruments'
import { openJobs } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import type { Done, Store } from '../store/database'
import { jobs, parkedTails } from '../store/schema'

/** Strings to take off and put back, the best first. */
export function oldStringOn(store: Store, stored: StoredInstrument): readonly OldString[] {
  const lives = stringLives(store)
  const seen = conditionsSeen(store)
  const rates = workshopRates(store)
  const now = store.now()
  const tails = new Set(
    store.rows
      .select({ fittedId: parkedTails.fittedId })
      .from(parkedTails)
      .where(isNull(parkedTails.trimmedAt))
      .all()
      .map(({ fittedId }) => fittedId),
  )
  const inJobs = new Set(openJobs(store).map(({ positionId }) => positionId))
  const numbers = new Map([...stored.positionIds].map(([number, id]) => [id, number]))
  const on = stringsOn(store, stored.id).flatMap((fitted) => {
    const life = lives.get(fitted.id)
    const looks = seen.get(fitted.id) ?? []
    if (!life || fitted.positionIds.some((id) => inJobs.has(id))) return []
    const ages = agesBetween(rates, life, looks, now, now + YEAR)
    return fitted.positionIds.map((id) => ({
      number: requireValue(numbers.get(id)),
      condition: looks.at(-1)?.condition ?? null,
      age: life.since === 'unknown' ? null : (now - fitted.fittedAt) / YEAR,
      hasTail: tails.has(fitted.id),
      chance: chanceItBreaks(rates[life.lifeClass], ages),
    }))
  })
  return oldStrings(stored.instrument, on)
}

/**
 * Opens its job.
 *
 * @throws Refusal 404 where there is no such string, 409 where it can’t be taken off and put back
 */
export function beginOldString(
  store: Store,
  stored: StoredInstrument,
  number: number,
): Done<{ jobId: number }> {
  const id = positionId(stored, number)
  const name = stringOf(stored, positionAt(stored.instrument, number))
  if (openJobs(store).some((row) => row.positionId === id))
    throw new Refusal(409, `A job on ${name} is open already.`)
  if (!oldStringOn(store, stored).some((one) => one.number === number))
    throw new Refusal(
      409,
      `${name.replace(/^./, (letter) => letter.toUpperCase())} is not a string to practise on.`,
    )
  return store.act(
    { kind: 'job', summary: `${name} to be taken off and put back, for practice`, instrumentId: stored.id },
    () => ({
      jobId: store.rows
        .insert(jobs)
        .values({ positionId: id, openedAt: store.now(), sameString: true, forPractice: true })
        .returning({ id: jobs.id })
        .get().id,
    }),
  )
}
