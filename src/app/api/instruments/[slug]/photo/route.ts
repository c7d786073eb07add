import { handle } from '@/app/api/handle'
import { PhotoLengthsRequest } from '@/boundary/requests/photo'
import { measureByPicture } from '@/data/instruments/measure-instrument'
import { store } from '@/data/store/database'

interface Path {
  readonly params: Promise<{ slug: string }>
}

/** Takes lengths over that a picture told; the picture itself stays in the browser. */
export async function POST(request: Request, { params }: Path) {
  const { slug } = await params
  return handle(request, PhotoLengthsRequest, ({ readings, replaced }) =>
    measureByPicture(store(), slug, readings, replaced),
  )
}
