import { store } from '@/data/database'
import { chooseCoil } from '@/data/jobs'
import { CoilRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', CoilRequest, (jobId, { coilId }) => ({
  actionId: chooseCoil(store(), jobId, coilId).actionId,
}))
