import { store } from '@/data/database'
import { moveSupply } from '@/data/supplies'
import { MoveRequest } from '@/features/stores/requests'
import { byId } from '../../../by-id'

export const POST = byId('supply', MoveRequest, (id, { by }) => moveSupply(store(), id, by))
