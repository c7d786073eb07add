import { store } from '@/data/store/database'
import { lengthIfTold } from '@/boundary/length-text'
import { finishJob } from '@/data/jobs/finish-job'
import { FinishRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', FinishRequest, (jobId, { cut, unit, wraps, gauge }) => {
  const { actionId, result } = finishJob(store(), jobId, {
    cut: lengthIfTold(cut, unit),
    wraps: wraps ?? null,
    gauge: lengthIfTold(gauge, unit),
  })
  return { actionId, fittedId: result.fittedId }
})
