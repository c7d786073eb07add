import { store } from '@/data/store/database'
import { wantSupply } from '@/data/stores/supplies'
import { WantRequest } from '@/boundary/requests/orders'
import { byId } from '../../../by-id'

/** Puts a small thing on the need list, or takes it off. */
export const POST = byId('supply', WantRequest, (id, { wanted }) => wantSupply(store(), id, wanted))
