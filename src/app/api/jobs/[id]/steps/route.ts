import { store } from '@/data/database'
import { markStep } from '@/data/jobs'
import { StepRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', StepRequest, (jobId, { step, done }) => {
  markStep(store(), jobId, step, done)
  return { step, done }
})
