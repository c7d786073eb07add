import { store } from '@/data/database'
import { lengthOf } from '@/data/http/length-text'
import { finishJob } from '@/data/jobs'
import { FinishRequest } from '@/features/jobs/requests'
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
