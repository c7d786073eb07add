import { byId } from '@/app/api/by-id'
import { Nothing } from '@/boundary/handle'
import { dropOccasion } from '@/data/workshop/occasions'
import { store } from '@/data/store/database'

export const POST = byId('date', Nothing, (id) => dropOccasion(store(), id))
