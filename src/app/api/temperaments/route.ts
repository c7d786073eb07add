import { handle } from '@/app/api/handle'
import { TemperamentRequest } from '@/boundary/requests/rounds'
import { takeTemperament } from '@/data/workshop/temperaments'
import { store } from '@/data/store/database'

/** Takes in a Scala file. */
export function POST(request: Request) {
  return handle(request, TemperamentRequest, ({ text }) => takeTemperament(store(), text))
}
