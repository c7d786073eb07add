import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { takeFromJob } from '@/data/jobs-together'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({ actionId: takeFromJob(store(), jobId).actionId }))
