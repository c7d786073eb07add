import { discardCoil } from '@/data/coils'
import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { byId } from '../../../by-id'

export const POST = byId('coil', Nothing, (id) => discardCoil(store(), id))
