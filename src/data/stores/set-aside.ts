/**
 * What open jobs have set aside in the stores: it is not free for another.
 */
import { fittingFigures } from '@/core/fitting/figures'
import { sortedOut, type SortedOut } from '@/core/stores/offers'
import { specAt, specKey } from '@/core/stores/string-spec'
import { jobsOnStrings } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import type { Store } from '../store/database'
import { coils, coverings, fittings, house, instruments, jobs, parkedTails, positions } from '../store/schema'
import { coilById, openCoils, type Coil } from './coils'

/** What an open job has set aside of a coil. */
export interface SetAside {
  readonly jobId: number
  readonly string: string
  /** m */
  readonly length: number
  /** It takes the coil's ready-made end. */
  readonly takesEnd: boolean
}

/** All that a job's cut is worked out from. */
const CUT_FROM = [jobs, coils, fittings, house, instruments, positions, coverings] as const

/** All that what is free is worked out from. */
export const FREE_FROM = [...CUT_FROM, parkedTails] as const

/** What open jobs have set aside, by coil. */
export function setAside(store: Store): ReadonlyMap<number, readonly SetAside[]> {
  return store.kept.get('set aside', CUT_FROM, () => {
    const byCoil = new Map<number, SetAside[]>()
    for (const { row, instrument, position, habits, corrections, ...stored } of jobsOnStrings(store)) {
      if (row.coilId === null) continue
      const { construction } = coilById(store, row.coilId)
      const aside = {
        jobId: row.id,
        string: stringOf({ ...stored, instrument, habits }, position),
        length: fittingFigures(instrument, position, habits, construction, corrections).cut.total,
        takesEnd: specAt(position, null).end !== 'plain',
      }
      byCoil.set(row.coilId, [...(byCoil.get(row.coilId) ?? []), aside])
    }
    return byCoil
  })
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
      (byCoil.get(coil.id) ?? []).filter(({ jobId }) => jobId !== forJob),
    ),
  )
}

/** Free coils, sorted out by what they are; kept, since the same are asked for on many pages. */
export function freeStores(store: Store): SortedOut<Coil> {
  return store.kept.get('free stores', FREE_FROM, () => sortedOut(freeCoils(store)))
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
