import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { putOnNeedList } from '@/data/jobs/need-of-job'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({ actionId: putOnNeedList(store(), jobId).actionId }))
