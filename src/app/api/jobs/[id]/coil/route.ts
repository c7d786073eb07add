import { store } from '@/data/store/database'
import { chooseCoil } from '@/data/jobs/coil-of-job'
import { CoilRequest } from '@/boundary/requests/jobs'
import { byId } from '../../../by-id'

export const POST = byId('job', CoilRequest, (jobId, { coilId }) => ({
  actionId: chooseCoil(store(), jobId, coilId).actionId,
}))
