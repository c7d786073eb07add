import { store } from '@/data/database'
import { addToJob } from '@/data/jobs-together'
import { StringsRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', StringsRequest, (jobId, { strings }) => ({
  actionId: addToJob(store(), jobId, strings).actionId,
}))
