import { store } from '@/data/store/database'
import { chooseCovered } from '@/data/jobs/jobs-together'
import { CoveredRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', CoveredRequest, (jobId, { way }) => ({
  actionId: chooseCovered(store(), jobId, way).actionId,
}))
