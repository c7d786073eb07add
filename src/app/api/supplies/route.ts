import { store } from '@/data/database'
import { handle } from '@/data/http/handle'
import { addSupply } from '@/data/supplies'
import { SupplyRequest } from '@/features/stores/requests'

export function POST(request: Request) {
  return handle(request, SupplyRequest, (supply) => addSupply(store(), supply))
}
