import { store } from '@/data/database'
import { Nothing } from '@/data/http/handle'
import { dropNeed } from '@/data/need-list'
import { byId } from '../../../by-id'

export const POST = byId('need', Nothing, (id) => dropNeed(store(), id))
