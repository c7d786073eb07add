import { store } from '@/data/database'
import { keepMeasure } from '@/data/job-steps'
import { readMeasured } from '@/features/jobs/measured'
import { MeasureRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', MeasureRequest, (jobId, { what, text, unit }) => {
  const value = readMeasured(what, text, unit)
  const { actionId } = keepMeasure(store(), jobId, what, value)
  return { actionId, what, value }
})
