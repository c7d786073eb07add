import { store } from '@/data/database'
import { markStep } from '@/data/job-steps'
import { StepRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', StepRequest, (jobId, { step, done, jobs }) => {
  for (const id of jobs ?? [jobId]) markStep(store(), id, step, done)
  return { step, done }
})
