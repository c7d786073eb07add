import { store } from '@/data/database'
import { markStepOfAll } from '@/data/job-steps'
import { StepRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', StepRequest, (jobId, { step, done, jobs }) => {
  const { actionId } = markStepOfAll(store(), jobs ?? [jobId], step, done)
  return { actionId, step, done }
})
