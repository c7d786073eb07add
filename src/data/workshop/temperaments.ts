/**
 * Temperaments that strings can be tuned in: those that ship with the app, and the house's own from Scala files.
 */
import { asc, eq } from 'drizzle-orm'
import { found, Refusal } from '@/boundary/refusal'
import { readScala } from '@/core/temper/scala'
import { TEMPERAMENTS, type Temperament } from '@/core/temper/temperament'
import type { Done, Store } from '../store/database'
import { temperaments } from '../store/schema'

/** A temperament of the house's own has a number, by which it is taken away. */
export interface KeptTemperament extends Temperament {
  readonly id: number | null
}

export function allTemperaments(store: Store): readonly KeptTemperament[] {
  const own = store.rows.select().from(temperaments).orderBy(asc(temperaments.name)).all()
  return [
    ...TEMPERAMENTS.map((one) => ({ ...one, id: null })),
    ...own.map(({ id, name, degrees }) => ({ id, name, cents: readDegrees(degrees) })),
  ]
}

/** Refusal 404 where the house has none of that name. */
export function temperamentNamed(store: Store, name: string): KeptTemperament {
  return found(
    allTemperaments(store).find((one) => one.name === name),
    'That temperament is not in this house.',
  )
}

export const readDegrees = (json: string): readonly number[] => JSON.parse(json) as number[]
export const writeDegrees = ({ cents }: Temperament): string => JSON.stringify(cents)

/** Most that a house keeps: more could not be chosen from. */
const MAX_TEMPERAMENTS = 200

/** Takes in a Scala file; Refusal 400 with what is wrong with it, 409 where its name is there already. */
export function takeTemperament(store: Store, text: string): Done<string> {
  const temperament = readOr400(text)
  const { name } = temperament
  const there = allTemperaments(store)
  if (there.some((one) => one.name === name))
    throw new Refusal(409, `A temperament called “${name}” is there already.`)
  if (there.length >= MAX_TEMPERAMENTS)
    throw new Refusal(409, 'That is more temperaments than anyone can choose from.')
  return store.act({ kind: 'temperament', summary: `The temperament ${name} taken in` }, () => {
    store.rows
      .insert(temperaments)
      .values({ name, degrees: writeDegrees(temperament) })
      .run()
    return name
  })
}

function readOr400(text: string): Temperament {
  try {
    return readScala(text)
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal(400, error.message, 'text')
    throw error
  }
}

/** Takes one away; rounds that were tuned in it keep it. Refusal 404 when there is none. */
export function dropTemperament(store: Store, id: number): Done<void> {
  const { name } = found(
    store.rows.select().from(temperaments).where(eq(temperaments.id, id)).get(),
    `There is no temperament ${id}.`,
  )
  return store.act({ kind: 'temperament', summary: `The temperament ${name} taken away` }, () => {
    store.rows.delete(temperaments).where(eq(temperaments.id, id)).run()
  })
}
