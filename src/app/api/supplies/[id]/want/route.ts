import { store } from '@/data/database'
import { wantSupply } from '@/data/supplies'
import { WantRequest } from '@/features/orders/requests'
import { byId } from '../../../by-id'

/** Puts a small thing on the need list, or takes it off. */
export const POST = byId('supply', WantRequest, (id, { wanted }) => wantSupply(store(), id, wanted))
