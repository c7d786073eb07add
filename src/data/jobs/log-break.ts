/**
 * A string that broke: logged, taken off its position, and its job opened.
 */
import { Refusal } from '@/boundary/refusal'
import { positionAt } from '@/core/instrument/instrument'
import { sitesFor, siteWord, type BreakSite } from '@/core/wear/break-sites'
import { endStringsOn } from '../fitted/fitted'
import { positionId, type StoredInstrument } from '../instruments/instruments'
import type { Done, Store } from '../store/database'
import { breaks, jobs } from '../store/schema'
import { breakInJob, servedBy, stepsDone } from './job'
import { openJobs } from './open-jobs'
import { stringOf } from './string-of'

/** Logs a break and opens the job that mends it. A string that serves two positions is gone from both. */
export function logBreak(
  store: Store,
  stored: StoredInstrument,
  number: number,
  site: BreakSite,
): Done<{ jobId: number }> {
  const id = positionId(stored, number)
  const position = positionAt(stored.instrument, number)
  if (!sitesFor(position).includes(site)) {
    throw new Refusal(
      400,
      `A string of ${stored.instrument.name} can’t give way there: it has no such place.`,
      'site',
    )
  }
  const served = servedBy(stored, position)
  const open = openJobs(store).find((job) => served.includes(job.positionId))
  if (open && open.breakId === null && stepsDone(store, open.id) === 0)
    return breakInJob(store, stored, position, site, open.id)
  if (open)
    throw new Refusal(
      409,
      `The ${stringOf(stored, position)} is already logged as broken; its job is open.`,
      'string',
    )
  const both = served.length > 1 ? ', both strings of the wire' : ''
  return store.act(
    {
      kind: 'break',
      summary: `${stringOf(stored, position)} gave way: ${siteWord(site, position).toLowerCase()}${both}`,
      instrumentId: stored.id,
    },
    () => {
      const at = store.now()
      const [fittedId] = endStringsOn(store, served, at)
      const broken = store.rows
        .insert(breaks)
        .values({ positionId: id, fittedId: fittedId ?? null, at, site })
        .returning({ id: breaks.id })
        .get()
      return {
        jobId: store.rows
          .insert(jobs)
          .values({ positionId: id, breakId: broken.id, openedAt: at })
          .returning({ id: jobs.id })
          .get().id,
      }
    },
  )
}
