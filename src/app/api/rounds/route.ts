import { handle } from '@/app/api/handle'
import { RoundRequest } from '@/boundary/requests/rounds'
import { beginRound } from '@/data/fitted/rounds'
import { store } from '@/data/store/database'

export function POST(request: Request) {
  return handle(request, RoundRequest, (round) => {
    const { actionId, result } = beginRound(store(), round)
    return { actionId, ...result }
  })
}
