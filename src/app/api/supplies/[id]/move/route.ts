import { store } from '@/data/store/database'
import { moveSupply } from '@/data/stores/supplies'
import { MoveRequest } from '@/boundary/requests/stores'
import { byId } from '../../../by-id'

export const POST = byId('supply', MoveRequest, (id, { by }) => moveSupply(store(), id, by))
