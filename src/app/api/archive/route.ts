import { handle } from '@/app/api/handle'
import { ArchiveRequest } from '@/boundary/requests/archive'
import { takeArchive } from '@/data/archive/take-archive'
import { streamedArchive } from '@/data/archive/write-archive'
import { addressOf } from '@/data/store/address-of'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'

/** Everything the house keeps, as a zip of open files; `?pictures=no` leaves the pictures out. */
export function GET(request: Request) {
  const name = addressOf(workshopSettings(store()).name) || 'house'
  const withPictures = new URL(request.url).searchParams.get('pictures') !== 'no'
  return new Response(streamedArchive(store(), withPictures), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}.zip"`,
    },
  })
}

/** Takes an archive in. */
export function POST(request: Request) {
  return handle(request, ArchiveRequest, ({ zip }) => takeArchive(store(), Buffer.from(zip, 'base64')))
}
