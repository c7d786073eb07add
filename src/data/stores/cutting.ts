/**
 * All open jobs and the stores, as the cutting plan takes them; and the plan carried out.
 */
import { counted } from '@/core/list/counted'
import { positionAt, soldByClass } from '@/core/instrument/instrument'
import { fittingFigures } from '@/core/fitting/figures'
import type { CoilLeft } from '@/core/stores/cut-plan'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import { isRight, type Fit, type FitGrade } from '@/core/stores/fits'
import { fitting, type StringCut } from '@/core/stores/offers'
import { specAt, specKey } from '@/core/stores/string-spec'
import { worthCutting } from '@/core/stores/worth-cutting'
import { withCuts, type Coil } from './coils'
import type { Done, Store } from '../store/database'
import { cuts } from '../store/schema'
import { FREE_FROM, freeStores, storesOfJobs } from './set-aside'
import { chooseCoilOf } from '../jobs/coil-of-job'
import type { StoredInstrument } from '../instruments/instruments'
import { workshopLearned, kindOf } from '../jobs/learned'
import { jobsOnStrings } from '../jobs/open-jobs'
import { stringOf } from '../jobs/string-of'
import { Refusal } from '@/boundary/refusal'

/** A job whose string is to be cut. */
export interface StringToCut {
  readonly id: number
  readonly string: string
  /** The coil that is set aside for it; null where none is. */
  readonly aside: { readonly coilId: number; readonly label: string } | null
  /** Coils that fit, whether a plan has to look at them or not. */
  readonly fits: number
}

/** Jobs whose string is not cut yet, and every coil that could serve one. */
export function cuttingBench(store: Store): CuttingBench {
  return store.cache.get('cutting bench', [...FREE_FROM, cuts], () => readBench(store))
}

/** The strings that wait for their coil, as a list of them shows them. */
export function stringsToCut(store: Store): readonly StringToCut[] {
  const { jobs, coils } = cuttingBench(store)
  const labels = new Map(coils.map(({ id, label }) => [id, label]))
  return jobs.map(({ id, string, coilId, fits }) => ({
    id,
    string,
    fits,
    aside: coilId === null ? null : { coilId, label: labels.get(coilId) ?? '' },
  }))
}

function readBench(store: Store): CuttingBench {
  const stores = storesOfJobs(store)
  const open = jobsOnStrings(store).filter(({ row }) => !row.sameString)
  return benchOf(
    store,
    open.map((job) => {
      const { instrument, position, habits, corrections, row } = job
      const coils = fitting(stores, position, soldByClass(instrument)).flatMap((kind) =>
        // What is set aside for a job stays its own.
        kind.coils.flatMap((coil) =>
          row.coilId === null || coil.id === row.coilId ? [{ coil, fit: kind.fit }] : [],
        ),
      )
      return {
        id: row.id,
        string: stringOf(job, position),
        coilId: row.coilId,
        takesEnd: specAt(position, soldByClass(instrument)).end !== 'plain',
        coils,
        cutFor: ({ construction, end }: StringCut) =>
          fittingFigures(instrument, position, habits, construction, corrections, end).cut.total,
      }
    }),
  )
}

/** A string that waits to be cut, with the coils that fit it. */
interface Waiting {
  readonly id: number
  readonly string: string
  readonly coilId: number | null
  readonly takesEnd: boolean
  readonly coils: readonly { readonly coil: Coil; readonly fit: Fit }[]
  readonly cutFor: (string: StringCut) => number
}

function benchOf(store: Store, strings: readonly Waiting[]): CuttingBench {
  const useful = new Map<number, Coil>()
  const waiting = strings.map(({ id, string, coilId, coils, cutFor }) => {
    const lengths = new Map<string, number>()
    const options = coils.map(({ coil, fit }) => {
      const kind = coil.key ?? specKey(coil)
      const length = lengths.get(kind) ?? cutFor(coil)
      lengths.set(kind, length)
      useful.set(coil.id, coil)
      return { coilId: coil.id, length, grade: fit.grade as Exclude<FitGrade, 'refused'> }
    })
    return { id, string, coilId, fits: options.length, options }
  })
  const looped = strings.some(({ takesEnd }) => takesEnd)
  const asLeft = ({ id, lengthLeft, opened, end }: Coil): CoilLeft => ({
    id,
    left: lengthLeft,
    opened,
    most: looped && end !== 'plain' ? 1 : null,
  })
  const fits = [...useful.values()].sort((a, b) => a.id - b.id)
  const kept = new Set(worthCutting(waiting, fits.map(asLeft)).map(({ id }) => id))
  // What is set aside for a job is told, whether a plan would choose it or not.
  for (const { coilId } of waiting) if (coilId !== null) kept.add(coilId)
  return {
    jobs: waiting.map((job) => ({ ...job, options: job.options.filter(({ coilId }) => kept.has(coilId)) })),
    coils: withCuts(
      store,
      fits.filter(({ id }) => kept.has(id)),
    ).map((coil) => ({
      ...asLeft(coil),
      label: coil.label,
      place: coil.place,
      bought: coil.boughtLength,
      cuts: coil.cuts.map(({ length }) => length),
    })),
  }
}

/**
 * Strings of an instrument that are to be changed, and every coil that holds what its chart asks for and is free. Nothing stands in
 * for another: whoever changes a set changes it for what belongs there.
 *
 * @param ids - numbers of the first strings of pieces, which stand for them in the bench
 */
export function cuttingBenchFor(
  store: Store,
  stored: StoredInstrument,
  ids: readonly number[],
): CuttingBench {
  const { instrument, habits } = stored
  const stores = freeStores(store)
  return benchOf(
    store,
    ids.map((id) => {
      const position = positionAt(instrument, id)
      const corrections = workshopLearned(store).correctionsFor(kindOf(stored, position))
      const sold = soldByClass(instrument)
      return {
        id,
        string: stringOf(stored, position),
        coilId: null,
        takesEnd: specAt(position, sold).end !== 'plain',
        coils: fitting(stores, position, sold).flatMap(({ spec, coils, fit }) =>
          isRight(fit.grade, spec) ? coils.map((coil) => ({ coil, fit })) : [],
        ),
        cutFor: ({ construction, end }) =>
          fittingFigures(instrument, position, habits, construction, corrections, end).cut.total,
      }
    }),
  )
}

/**
 * Holds a plan of cuts against the stores.
 *
 * @param cuts - which string, by its number, from which coil
 * @throws Refusal 409 when the stores can't carry it out
 */
export function checkedCuts(
  bench: CuttingBench,
  cuts: readonly { readonly id: number; readonly coilId: number }[],
): void {
  const taken = new Map<number, { length: number; count: number }>()
  const cutOnce = new Set<number>()
  for (const { id, coilId } of cuts) {
    const option = bench.jobs.find((job) => job.id === id)?.options.find((one) => one.coilId === coilId)
    if (!option || cutOnce.has(id)) throw new Refusal(409, STORES_CHANGED)
    cutOnce.add(id)
    const had = taken.get(coilId) ?? { length: 0, count: 0 }
    taken.set(coilId, { length: had.length + option.length, count: had.count + 1 })
  }
  for (const [coilId, { length, count }] of taken) {
    const coil = bench.coils.find(({ id }) => id === coilId)
    if (!coil || length > coil.left || (coil.most !== null && count > coil.most))
      throw new Refusal(409, STORES_CHANGED)
  }
}

const STORES_CHANGED = 'The stores have changed since the plan was made; plan again.'

/**
 * Sets the coils of a plan aside for their jobs, as one action.
 *
 * @throws Refusal 409 when together more would be cut from a coil than it has left
 */
export function takeCuttingPlan(
  store: Store,
  planned: readonly { readonly jobId: number; readonly coilId: number }[],
): Done<void> {
  checkedCuts(
    cuttingBench(store),
    planned.map(({ jobId, coilId }) => ({ id: jobId, coilId })),
  )
  return store.act(
    {
      kind: 'coil',
      summary:
        planned.length === 1
          ? 'A coil set aside by the cutting plan'
          : `Coils set aside for ${counted(planned.length, 'string')} by the cutting plan`,
    },
    () => {
      for (const { jobId, coilId } of planned) chooseCoilOf(store, jobId, coilId)
    },
  )
}
