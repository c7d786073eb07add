import { store } from '@/data/store/database'
import { keepMeasure } from '@/data/jobs/job-steps'
import { readMeasured } from '@/boundary/measured'
import { MeasureRequest } from '@/boundary/requests/jobs'
import { byIdLater } from '../../../by-id'

export const POST = byIdLater('job', MeasureRequest, (jobId, { what, text, unit, seen }) => {
  const value = readMeasured(what, text, unit)
  const { actionId } = keepMeasure(store(), jobId, what, value, seen)
  return { actionId, what, value }
})
