import { store } from '@/data/store/database'
import { findString } from '@/data/instruments/find-string'
import { answerTo } from '@/boundary/handle'

/** Which strings a name can mean: `?name=A3`, on the instrument at hand with `&at=lovage`. */
export async function GET(request: Request) {
  const asked = new URL(request.url).searchParams
  return answerTo(() => ({ readings: findString(store(), asked.get('name') ?? '', asked.get('at')) }))
}
