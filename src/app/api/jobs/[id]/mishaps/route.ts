import { store } from '@/data/store/database'
import { logMishap } from '@/data/jobs/job-steps'
import { MishapRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', MishapRequest, (jobId, { step, mishap }) => {
  const {
    actionId,
    result: { backTo, loses },
  } = logMishap(store(), jobId, step, mishap)
  return { actionId, backTo, loses }
})
