/** Several strings to be replaced in one job, and what the stores lack for it put on the need list: one action. */
import { Refusal } from '@/boundary/refusal'
import { itemAt } from '@/core/list/item-at'
import type { StoredInstrument } from '../instruments/instruments'
import { openTogether } from '../jobs/jobs-together'
import type { Done, Store } from '../store/database'
import { needs } from '../store/schema'
import { needRow } from './need-list'

/**
 * @param numbers - of the strings; the first leads the job
 * @param bought - those of them that must be bought first
 * @throws Refusal 404 where there is no such string, 409 where one has an open job already, 400 where one is to be bought and not
 * replaced
 */
export function openReplacements(
  store: Store,
  stored: StoredInstrument,
  numbers: readonly number[],
  bought: readonly number[],
): Done<{ jobId: number }> {
  if (bought.some((number) => !numbers.includes(number)))
    throw new Refusal(400, 'What is bought for this job belongs to it.', 'bought')
  const { name } = stored.instrument
  const listed = bought.length === 0 ? '' : `, ${bought.length} put on the need list`
  const summary = `${numbers.length} ${numbers.length === 1 ? 'string' : 'strings'} of ${name} to be replaced${listed}`
  const open = openTogether(store, stored, numbers)
  return store.act({ kind: 'job', summary, instrumentId: stored.id }, () => {
    const jobs = open()
    for (const { id, positionId, numbers: of } of jobs)
      if (of.some((number) => bought.includes(number)))
        store.rows
          .insert(needs)
          .values(needRow(store, { positionId, jobId: id, quantity: 1 }))
          .run()
    return { jobId: itemAt(jobs, 0).id }
  })
}
