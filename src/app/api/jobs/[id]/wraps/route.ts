import { store } from '@/data/database'
import { setWraps } from '@/data/jobs'
import { WrapsRequest } from '@/features/jobs/requests'
import { jobRoute } from '../job-route'

export const POST = jobRoute(WrapsRequest, (jobId, { wraps }) => ({ actionId: setWraps(store(), jobId, wraps).actionId }))
