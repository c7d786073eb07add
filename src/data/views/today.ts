/**
 * What needs a hand now.
 */
import { asc, gte } from 'drizzle-orm'
import { leadingNames } from '@/core/instrument/names'
import { siteWord } from '@/core/wear/break-sites'
import type { Store } from '../store/database'
import { openJobs, jobById } from '../jobs/jobs'
import { allOrders } from '../buying/orders'
import { openTails, type ParkedTail } from '../fitted/parked-tails'
import { occasions } from '../store/schema'
import { settlingStrings, type Settling } from '../fitted/settling'

const DAY = 86_400_000

export interface OpenJob {
  readonly jobId: number
  readonly name: string
  readonly instrumentName: string
  readonly openedAt: number
  readonly site: string | null
  /** What to do next, in a few words. */
  readonly next: string
}

export interface Ahead {
  readonly name: string
  readonly at: number
  /** Strings that will not hold by then, of those settling. */
  readonly notReady: readonly string[]
}

export interface TodayView {
  readonly jobs: readonly OpenJob[]
  /** Slipping first, then by when they fall due. */
  readonly settling: readonly Settling[]
  readonly ahead: readonly Ahead[]
  /** Orders that are not closed, the latest first. */
  readonly orders: readonly Coming[]
  /** Tails parked on necks, the one due first first. */
  readonly tails: readonly ParkedTail[]
}

export interface Coming {
  readonly id: number
  readonly supplier: string
  /** What to do next, in a few words. */
  readonly next: string
}

const NEXT = {
  'to send': 'to be sent',
  sent: 'waits for its answer',
  acknowledged: 'on its way; book it in when it comes',
  delivered: 'partly come',
  closed: '',
} as const

/** The day's work. */
export function todayView(store: Store): TodayView {
  const settling = settlingStrings(store)
  return {
    tails: openTails(store),
    orders: allOrders(store)
      .filter(({ state }) => state !== 'closed')
      .map(({ id, supplier, state, lines }) => ({
        id,
        supplier: supplier.name,
        next: lines.some(({ replacesId, answer }) => replacesId !== null && answer === null)
          ? 'a substitute is offered'
          : NEXT[state],
      })),
    jobs: openJobs(store).map(({ id }) => openJob(store, id)),
    settling: [...settling.filter((s) => s.slipping), ...settling.filter((s) => !s.slipping)],
    ahead: occasionsAhead(store).map(({ name, at }) => ({
      name,
      at,
      notReady: settling
        .filter((s) => s.readyAt > at || s.slipping)
        .map((s) => `${s.name} of ${s.instrumentName}`),
    })),
  }
}

/** Days that the strings must be ready for, the next first; one of today still counts. */
export function occasionsAhead(store: Store): readonly { readonly name: string; readonly at: number }[] {
  return store.rows
    .select({ name: occasions.name, at: occasions.at })
    .from(occasions)
    .where(gte(occasions.at, store.now() - DAY / 2))
    .orderBy(asc(occasions.at))
    .all()
}

function openJob(store: Store, id: number): OpenJob {
  const job = jobById(store, id)
  const left = job.steps.length - job.doneSteps.length
  return {
    jobId: id,
    name: leadingNames(job.position, job.habits.octaveNames).name,
    instrumentName: job.instrument.name,
    openedAt: job.openedAt,
    site: job.site === null ? null : siteWord(job.site, job.position).toLowerCase(),
    next:
      job.coil || job.sameString
        ? job.doneSteps.length > 0
          ? `${left} steps to go`
          : job.coil
            ? `${job.coil.label} set aside`
            : 'to be put back'
        : job.onNeedList
          ? 'on the need list'
          : 'choose a coil',
  }
}
