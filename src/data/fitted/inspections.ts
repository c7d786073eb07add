/**
 * Strings that were looked at: how each looked and what was seen. One look is one action, undone as any other.
 */
import { Refusal } from '@/boundary/refusal'
import { leadingNames } from '@/core/instrument/names'
import { lookWords, signFacts, signsFor, type Sign } from '@/core/wear/signs'
import type { Condition } from '@/core/wear/life'
import { byPositionId, positionId as idOfPosition, type StoredInstrument } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { inspections } from '../store/schema'
import { stringsOn } from './fitted'

export interface NewLook {
  /** Number of the position. */
  readonly number: number
  readonly condition: Condition
  readonly signs: readonly Sign[]
}

/**
 * Keeps how a string looked.
 *
 * @throws Refusal 404 where the instrument has no such string, 409 where none is on, 400 where such a string can't show that
 */
export function logLook(
  store: Store,
  stored: StoredInstrument,
  { number, condition, signs }: NewLook,
): Done<void> {
  const positionId = idOfPosition(stored, number)
  const { position, habits, instrument } = byPositionId(store, positionId)
  const fitted = stringsOn(store, stored.id).find(({ positionIds }) => positionIds.includes(positionId))
  const { name } = leadingNames(position, habits.octaveNames)
  if (!fitted)
    throw new Refusal(409, `No string is on the ${name} of ${instrument.name}: there is nothing to look at.`)
  const possible = signsFor(position)
  const strange = signs.find((sign) => !possible.includes(sign))
  if (strange)
    throw new Refusal(
      400,
      `The ${name} of ${instrument.name} can’t show “${signFacts(strange).word.toLowerCase()}”.`,
      'signs',
    )
  return store.act(
    {
      kind: 'look',
      instrumentId: stored.id,
      summary: `${name} of ${instrument.name} looked at: ${lookWords({ condition, signs })}`,
    },
    () => {
      store.rows
        .insert(inspections)
        .values({ positionId, fittedId: fitted.id, at: store.now(), condition, signs: JSON.stringify(signs) })
        .run()
    },
  )
}
