import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { putOnNeedList } from '@/data/jobs'
import { jobRoute } from '../job-route'

export const POST = jobRoute(Nothing, (jobId) => ({ actionId: putOnNeedList(store(), jobId).actionId }))
