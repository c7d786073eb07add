import { discardCoil } from '@/data/stores/coils'
import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { byId } from '../../../by-id'

export const POST = byId('coil', Nothing, (id) => discardCoil(store(), id))
