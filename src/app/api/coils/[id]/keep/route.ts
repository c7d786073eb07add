import { byId } from '@/app/api/by-id'
import { lengthOf } from '@/boundary/length-text'
import { KeepRestRequest } from '@/boundary/requests/stores'
import { keepRest } from '@/data/stores/in-hand'
import { store } from '@/data/store/database'

export const POST = byId('coil', KeepRestRequest, (id, { left, unit }) =>
  keepRest(store(), id, lengthOf(left, unit)),
)
