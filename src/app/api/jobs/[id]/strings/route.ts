import { store } from '@/data/store/database'
import { addToJob } from '@/data/jobs/jobs-together'
import { StringsRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', StringsRequest, (jobId, { strings }) => ({
  actionId: addToJob(store(), jobId, strings).actionId,
}))
