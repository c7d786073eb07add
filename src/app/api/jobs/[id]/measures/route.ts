import { store } from '@/data/store/database'
import { keepMeasure } from '@/data/jobs/job-steps'
import { readMeasured } from '@/boundary/measured'
import { MeasureRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', MeasureRequest, (jobId, { what, text, unit }) => {
  const value = readMeasured(what, text, unit)
  const { actionId } = keepMeasure(store(), jobId, what, value)
  return { actionId, what, value }
})
