import { byId } from '@/app/api/by-id'
import { OccasionRequest } from '@/boundary/requests/occasions'
import { changeOccasion } from '@/data/workshop/occasions'
import { store } from '@/data/store/database'

export const POST = byId('date', OccasionRequest, (id, date) => changeOccasion(store(), id, { ...date }))
