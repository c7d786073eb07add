import { store } from '@/data/store/database'
import { OtherGaugeRequest } from '@/boundary/requests/orders'
import { takeOtherGauge } from '@/data/buying/other-gauge'
import { byId } from '../../../by-id'

/** Asks for a neighbouring gauge in place of one that nobody sells. */
export const POST = byId('need', OtherGaugeRequest, (id, { itemId }) => takeOtherGauge(store(), id, itemId))
