import { store } from '@/data/store/database'
import { lengthOf } from '@/boundary/length-text'
import { finishJob } from '@/data/jobs/finish-job'
import { FinishRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', FinishRequest, (jobId, { cut, unit, wraps, gauge }) => {
  const read = (text: string | undefined) => (text === undefined ? null : lengthOf(text, unit))
  const { actionId, result } = finishJob(store(), jobId, {
    cut: read(cut),
    wraps: wraps ?? null,
    gauge: read(gauge),
  })
  return { actionId, fittedId: result.fittedId }
})
