import { byId } from '@/app/api/by-id'
import { Nothing } from '@/boundary/handle'
import { endRound } from '@/data/fitted/rounds'
import { store } from '@/data/store/database'

export const POST = byId('round', Nothing, (id) => endRound(store(), id))
