import { byIdLater } from '@/app/api/by-id'
import { RoundStringRequest } from '@/boundary/requests/rounds'
import { logRoundString } from '@/data/fitted/rounds'
import { store } from '@/data/store/database'

export const POST = byIdLater('round', RoundStringRequest, (id, string) =>
  logRoundString(store(), id, string),
)
