import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { putOnNeedList } from '@/data/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({ actionId: putOnNeedList(store(), jobId).actionId }))
