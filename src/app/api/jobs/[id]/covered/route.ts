import { store } from '@/data/database'
import { chooseCovered } from '@/data/jobs-together'
import { CoveredRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', CoveredRequest, (jobId, { way }) => ({
  actionId: chooseCovered(store(), jobId, way).actionId,
}))
