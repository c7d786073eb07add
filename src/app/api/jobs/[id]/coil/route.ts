import { store } from '@/data/database'
import { chooseCoil } from '@/data/jobs'
import { CoilRequest } from '@/features/jobs/requests'
import { jobRoute } from '../job-route'

export const POST = jobRoute(CoilRequest, (jobId, { coilId }) => ({ actionId: chooseCoil(store(), jobId, coilId).actionId }))
