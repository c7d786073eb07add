import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { putSameStringBack } from '@/data/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({
  actionId: putSameStringBack(store(), jobId).actionId,
}))
