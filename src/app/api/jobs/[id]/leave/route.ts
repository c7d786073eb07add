import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { takeFromJob } from '@/data/jobs/jobs-together'
import { byId } from '../../../by-id'

export const POST = byId('job', Nothing, (jobId) => ({ actionId: takeFromJob(store(), jobId).actionId }))
