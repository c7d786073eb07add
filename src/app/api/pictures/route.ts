import { handle } from '@/app/api/handle'
import { PictureRequest } from '@/boundary/requests/pictures'
import { keepPicture } from '@/data/pictures/pictures'
import { store } from '@/data/store/database'

/** Keeps a picture with an instrument. */
export function POST(request: Request) {
  return handle(request, PictureRequest, ({ instrument, string, job, kind, note, jpeg }) =>
    keepPicture(store(), {
      instrument,
      number: string ?? null,
      jobId: job ?? null,
      kind,
      note,
      jpeg: Buffer.from(jpeg, 'base64'),
    }),
  )
}
