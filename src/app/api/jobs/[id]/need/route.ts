import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { putOnNeedList } from '@/data/jobs/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({ actionId: putOnNeedList(store(), jobId).actionId }))
