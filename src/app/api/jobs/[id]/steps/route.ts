import { store } from '@/data/store/database'
import { markStepOfAll } from '@/data/jobs/job-steps'
import { StepRequest } from '@/boundary/requests/jobs'
import { byIdLater } from '../../../by-id'

export const POST = byIdLater('job', StepRequest, (jobId, { step, done, jobs }) => {
  const { actionId } = markStepOfAll(store(), jobs ?? [jobId], step, done)
  return { actionId, step, done }
})
