import { byId } from '@/app/api/by-id'
import { Nothing } from '@/boundary/handle'
import { dropTemperament } from '@/data/workshop/temperaments'
import { store } from '@/data/store/database'

export const POST = byId('temperament', Nothing, (id) => dropTemperament(store(), id))
