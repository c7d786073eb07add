import { store } from '@/data/store/database'
import { markStepOfAll } from '@/data/jobs/job-steps'
import { StepRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', StepRequest, (jobId, { step, done, jobs }) => {
  const { actionId } = markStepOfAll(store(), jobs ?? [jobId], step, done)
  return { actionId, step, done }
})
