/**
 * All open jobs and the shelf, as the cutting plan takes them; and the plan carried out.
 */
import { soldByClass } from '@/core/instrument/instrument'
import { fittingFigures } from '@/core/fitting/figures'
import type { CoilLeft, CutJob } from '@/core/stores/cut-plan'
import { fitOf, type FitGrade } from '@/core/stores/fits'
import { specAt } from '@/core/stores/string-spec'
import { shelf, type Coil } from './coils'
import type { Done, Store } from '../store/database'
import { chooseCoilOf, jobById, openJobs, stringOf } from '../jobs/jobs'
import { Refusal } from '@/boundary/refusal'

export interface CuttingBench {
  readonly jobs: readonly (CutJob & { readonly string: string; readonly coilId: number | null })[]
  readonly coils: readonly (CoilLeft & {
    readonly label: string
    readonly place: string
    readonly bought: number
    readonly cuts: readonly number[]
  })[]
}

/** Jobs whose string is not cut yet, and every coil that could serve one. */
export function cuttingBench(store: Store): CuttingBench {
  const coils = shelf(store)
  const open = openJobs(store)
    .filter((job) => !job.sameString)
    .map((row) => jobById(store, row.id))
  const waiting = open.map((job) => ({
    id: job.jobId,
    string: stringOf(job, job.position),
    coilId: job.coil?.id ?? null,
    // What is set aside for a job stays its own.
    options: coils
      .filter(({ id }) => job.coil === null || id === job.coil.id)
      .flatMap((coil) => {
        const { grade } = fitOf(coil, job.position, soldByClass(job.instrument))
        return grade === 'refused'
          ? []
          : [
              {
                coilId: coil.id,
                length: fittingFigures(
                  job.instrument,
                  job.position,
                  job.habits,
                  coil.construction,
                  job.corrections,
                ).cut.total,
                grade: grade as Exclude<FitGrade, 'refused'>,
              },
            ]
      }),
  }))
  const useful = new Set(waiting.flatMap(({ options }) => options.map(({ coilId }) => coilId)))
  const looped = open.some((job) => specAt(job.position, soldByClass(job.instrument)).end !== 'plain')
  return {
    jobs: waiting,
    coils: coils
      .filter(({ id }) => useful.has(id))
      .map((coil) => ({
        id: coil.id,
        left: coil.lengthLeft,
        opened: coil.opened,
        most: looped && coil.end !== 'plain' ? 1 : null,
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
  cuts: readonly { readonly jobId: number; readonly coilId: number }[],
): Done<void> {
  const bench = cuttingBench(store)
  const taken = new Map<number, number>()
  for (const { jobId, coilId } of cuts) {
    const option = bench.jobs.find(({ id }) => id === jobId)?.options.find((one) => one.coilId === coilId)
    if (!option)
      throw new Refusal(409, 'The jobs or the shelf have changed since the plan was made; plan again.')
    taken.set(coilId, (taken.get(coilId) ?? 0) + option.length)
  }
  for (const [coilId, length] of taken) {
    const coil = bench.coils.find(({ id }) => id === coilId)
    if (!coil || length > coil.left)
      throw new Refusal(409, 'The shelf has changed since the plan was made; plan again.')
  }
  return store.act(
    {
      kind: 'coil',
      summary:
        cuts.length === 1
          ? 'A coil set aside by the cutting plan'
          : `Coils set aside for ${cuts.length} strings by the cutting plan`,
    },
    () => {
      for (const { jobId, coilId } of cuts) chooseCoilOf(store, jobId, coilId)
    },
  )
}

/** What an open job has set aside of a coil. */
export interface SetAside {
  readonly jobId: number
  readonly string: string
  /** m */
  readonly length: number
  /** It takes the coil's ready-made end. */
  readonly takesEnd: boolean
}

/** What open jobs have set aside, by coil: it is not free for another. */
export function setAside(store: Store): ReadonlyMap<number, readonly SetAside[]> {
  const byCoil = new Map<number, SetAside[]>()
  for (const row of openJobs(store)) {
    if (row.coilId === null) continue
    const job = jobById(store, row.id)
    const aside = {
      jobId: row.id,
      string: stringOf(job, job.position),
      length: job.figures.cut.total,
      takesEnd: specAt(job.position, null).end !== 'plain',
    }
    byCoil.set(row.coilId, [...(byCoil.get(row.coilId) ?? []), aside])
  }
  return byCoil
}

/** A coil without what other jobs have set aside of it. */
export function withoutSetAside(coil: Coil, aside: readonly SetAside[]): Coil {
  if (aside.length === 0) return coil
  const taken = aside.reduce((sum, { length }) => sum + length, 0)
  return {
    ...coil,
    lengthLeft: Math.max(0, coil.lengthLeft - taken),
    opened: true,
    end: aside.some(({ takesEnd }) => takesEnd) ? 'plain' : coil.end,
  }
}

/**
 * The shelf as it is free: what jobs have set aside is taken off.
 *
 * @param forJob - the job that asks; what it has set aside itself is free for it
 */
export function freeShelf(store: Store, forJob: number | null = null): readonly Coil[] {
  const byCoil = setAside(store)
  return shelf(store).map((coil) =>
    withoutSetAside(
      coil,
      (byCoil.get(coil.id) ?? []).filter(({ jobId }) => jobId !== forJob),
    ),
  )
}

/** Open jobs that a coil is set aside for. */
export function jobsOnCoil(store: Store, coilId: number): readonly SetAside[] {
  return setAside(store).get(coilId) ?? []
}
