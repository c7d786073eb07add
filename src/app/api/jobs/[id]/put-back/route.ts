import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { putSameStringBack } from '@/data/jobs/coil-of-job'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({
  actionId: putSameStringBack(store(), jobId).actionId,
}))
