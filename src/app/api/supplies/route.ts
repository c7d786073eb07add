import { store } from '@/data/store/database'
import { handle } from '@/app/api/handle'
import { addSupply } from '@/data/stores/supplies'
import { SupplyRequest } from '@/boundary/requests/stores'

export function POST(request: Request) {
  return handle(request, SupplyRequest, (supply) => addSupply(store(), supply))
}
