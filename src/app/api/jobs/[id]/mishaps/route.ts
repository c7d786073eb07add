import { store } from '@/data/database'
import { logMishap } from '@/data/job-steps'
import { MishapRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', MishapRequest, (jobId, { step, mishap }) => {
  const {
    actionId,
    result: { backTo, loses },
  } = logMishap(store(), jobId, step, mishap)
  return { actionId, backTo, loses }
})
