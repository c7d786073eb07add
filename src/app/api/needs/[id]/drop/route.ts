import { store } from '@/data/store/database'
import { Nothing } from '@/boundary/handle'
import { dropNeed } from '@/data/buying/need-list'
import { byId } from '../../../by-id'

export const POST = byId('need', Nothing, (id) => dropNeed(store(), id))
