import { store } from '@/data/database'
import { markStep } from '@/data/jobs'
import { StepRequest } from '@/features/jobs/requests'
import { jobRoute } from '../job-route'

export const POST = jobRoute(StepRequest, (jobId, { step, done }) => {
  markStep(store(), jobId, step, done)
  return { step, done }
})
