/**
 * What open jobs and restrings have set aside in the stores: it is not free for another.
 */
import { and, eq, isNull } from 'drizzle-orm'
import { fittingFigures } from '@/core/fitting/figures'
import { sortedOut, type SortedOut } from '@/core/stores/offers'
import { specAt, specKey } from '@/core/stores/string-spec'
import { jobsOnStrings, stringAt, type OpenJob } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import type { Store } from '../store/database'
import {
  coils,
  coverings,
  fittings,
  house,
  instruments,
  jobs,
  parkedTails,
  positions,
  restringPieces,
  restrings,
} from '../store/schema'
import { coilById, openCoils, type Coil } from './coils'

/** What an open job, or a restring that is to come to it, has set aside of a coil. */
export interface SetAside {
  /** Null for a string that its restring has not come to yet. */
  readonly jobId: number | null
  readonly string: string
  /** m */
  readonly length: number
  /** It takes the coil's ready-made end. */
  readonly takesEnd: boolean
}

/** All that a job's cut is worked out from. */
const CUT_FROM = [
  jobs,
  coils,
  fittings,
  house,
  instruments,
  positions,
  coverings,
  restrings,
  restringPieces,
] as const

/** All that what is free is worked out from. */
export const FREE_FROM = [...CUT_FROM, parkedTails] as const

/** What open jobs and restrings have set aside, by coil. */
export function setAside(store: Store): ReadonlyMap<number, readonly SetAside[]> {
  return store.cache.get('set aside', CUT_FROM, () => {
    const byCoil = new Map<number, SetAside[]>()
    const put = (coilId: number, jobId: number | null, on: Omit<OpenJob, 'row'>) => {
      const { instrument, position, habits, corrections } = on
      const { construction, end } = coilById(store, coilId)
      const aside = {
        jobId,
        string: stringOf(on, position),
        length: fittingFigures(instrument, position, habits, construction, corrections, end).cut.total,
        takesEnd: specAt(position, null).end !== 'plain',
      }
      byCoil.set(coilId, [...(byCoil.get(coilId) ?? []), aside])
    }
    for (const { row, ...on } of jobsOnStrings(store)) if (row.coilId !== null) put(row.coilId, row.id, on)
    for (const { positionId, coilId } of piecesToCome(store))
      if (coilId !== null) put(coilId, null, stringAt(store, positionId, '{}'))
    return byCoil
  })
}

/** Strings that restrings which go on have not come to yet. */
function piecesToCome(store: Store) {
  return store.rows
    .select({ positionId: restringPieces.positionId, coilId: restringPieces.coilId })
    .from(restringPieces)
    .innerJoin(restrings, and(eq(restrings.id, restringPieces.restringId), isNull(restrings.endedAt)))
    .where(isNull(restringPieces.jobId))
    .all()
}

/** A coil without what other jobs have set aside of it. */
function withoutSetAside(coil: Coil, aside: readonly SetAside[]): Coil {
  if (aside.length === 0) return coil
  const taken = aside.reduce((sum, { length }) => sum + length, 0)
  const left = {
    ...coil,
    lengthLeft: Math.max(0, coil.lengthLeft - taken),
    opened: true,
    end: aside.some(({ takesEnd }) => takesEnd) ? ('plain' as const) : coil.end,
  }
  return { ...left, key: specKey(left) }
}

/**
 * Coils without what open jobs have set aside of them.
 *
 * @param forJob - a job whose own share is free for it
 */
export function freeCoils(store: Store, forJob: number | null = null): readonly Coil[] {
  const byCoil = setAside(store)
  return openCoils(store).map((coil) =>
    withoutSetAside(
      coil,
      (byCoil.get(coil.id) ?? []).filter(({ jobId }) => jobId === null || jobId !== forJob),
    ),
  )
}

/** Free coils, sorted out by what they are; kept, since the same are asked for on many pages. */
export function freeStores(store: Store): SortedOut<Coil> {
  return store.cache.get('free stores', FREE_FROM, () => sortedOut(freeCoils(store)))
}

/** Coils without what restrings are still to come to, sorted out: open jobs share out the rest among them. */
export function storesOfJobs(store: Store): SortedOut<Coil> {
  return store.cache.get('stores of jobs', FREE_FROM, () => {
    const byCoil = setAside(store)
    return sortedOut(
      openCoils(store).map((coil) =>
        withoutSetAside(
          coil,
          (byCoil.get(coil.id) ?? []).filter(({ jobId }) => jobId === null),
        ),
      ),
    )
  })
}

/** Coils that are free for one job, its own among them, sorted out by what they are. */
export function freeFor(store: Store, jobId: number): SortedOut<Coil> {
  const ownAside = [...setAside(store).values()].some((all) => all.some((one) => one.jobId === jobId))
  return ownAside ? sortedOut(freeCoils(store, jobId)) : freeStores(store)
}

/** Open jobs that a coil is set aside for. */
export function jobsOnCoil(store: Store, coilId: number): readonly SetAside[] {
  return setAside(store).get(coilId) ?? []
}
