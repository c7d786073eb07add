import { byId } from '@/app/api/by-id'
import { lengthIfTold } from '@/boundary/length-text'
import { InHandRequest } from '@/boundary/requests/jobs'
import { takeInHand } from '@/data/stores/in-hand'
import { store } from '@/data/store/database'

export const POST = byId('job', InHandRequest, (jobId, { gauge, length, unit }) =>
  takeInHand(store(), jobId, {
    gauge: lengthIfTold(gauge, unit),
    length: lengthIfTold(length, unit),
  }),
)
