import { store } from '@/data/database'
import { setWraps } from '@/data/jobs'
import { WrapsRequest } from '@/features/jobs/requests'
import { byId } from '../../../by-id'

export const POST = byId('job', WrapsRequest, (jobId, { wraps }) => ({ actionId: setWraps(store(), jobId, wraps).actionId }))
