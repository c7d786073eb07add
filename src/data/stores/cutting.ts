/**
 * All open jobs and the stores, as the cutting plan takes them; and the plan carried out.
 */
import { soldByClass } from '@/core/instrument/instrument'
import { fittingFigures } from '@/core/fitting/figures'
import type { CoilLeft } from '@/core/stores/cut-plan'
import type { CuttingBench } from '@/core/stores/cutting-bench'
import type { FitGrade } from '@/core/stores/fits'
import { fitting } from '@/core/stores/offers'
import { specAt } from '@/core/stores/string-spec'
import { worthCutting } from '@/core/stores/worth-cutting'
import { openStores, withCuts, type Coil } from './coils'
import type { Done, Store } from '../store/database'
import { cuts } from '../store/schema'
import { FREE_FROM } from './set-aside'
import { chooseCoilOf } from '../jobs/coil-of-job'
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
  return store.kept.get('cutting bench', [...FREE_FROM, cuts], () => readBench(store))
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
  const stores = openStores(store)
  const open = jobsOnStrings(store).filter(({ row }) => !row.sameString)
  const useful = new Map<number, Coil>()
  const waiting = open.map((job) => {
    const { instrument, position, habits, corrections, row } = job
    const options = fitting(stores, position, soldByClass(instrument)).flatMap(({ spec, coils, fit }) => {
      // What is set aside for a job stays its own.
      const own = coils.filter(({ id }) => row.coilId === null || id === row.coilId)
      if (own.length === 0) return []
      const length = fittingFigures(instrument, position, habits, spec.construction, corrections).cut.total
      for (const coil of own) useful.set(coil.id, coil)
      return own.map((coil) => ({
        coilId: coil.id,
        length,
        grade: fit.grade as Exclude<FitGrade, 'refused'>,
      }))
    })
    return { id: row.id, string: stringOf(job, position), coilId: row.coilId, fits: options.length, options }
  })
  const looped = open.some(
    ({ position, instrument }) => specAt(position, soldByClass(instrument)).end !== 'plain',
  )
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
 * Sets the coils of a plan aside for their jobs, as one action.
 *
 * @throws Refusal 409 when together more would be cut from a coil than it has left
 */
export function takeCuttingPlan(
  store: Store,
  planned: readonly { readonly jobId: number; readonly coilId: number }[],
): Done<void> {
  const bench = cuttingBench(store)
  const taken = new Map<number, number>()
  for (const { jobId, coilId } of planned) {
    const option = bench.jobs.find(({ id }) => id === jobId)?.options.find((one) => one.coilId === coilId)
    if (!option)
      throw new Refusal(409, 'The jobs or the stores have changed since the plan was made; plan again.')
    taken.set(coilId, (taken.get(coilId) ?? 0) + option.length)
  }
  for (const [coilId, length] of taken) {
    const coil = bench.coils.find(({ id }) => id === coilId)
    if (!coil || length > coil.left)
      throw new Refusal(409, 'The stores have changed since the plan was made; plan again.')
  }
  return store.act(
    {
      kind: 'coil',
      summary:
        planned.length === 1
          ? 'A coil set aside by the cutting plan'
          : `Coils set aside for ${planned.length} strings by the cutting plan`,
    },
    () => {
      for (const { jobId, coilId } of planned) chooseCoilOf(store, jobId, coilId)
    },
  )
}
