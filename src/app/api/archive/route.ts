import { handle } from '@/app/api/handle'
import { fileAnswer } from '@/boundary/file-answer'
import { ArchiveRequest } from '@/boundary/requests/archive'
import { takeArchive } from '@/data/archive/take-archive'
import { zippedArchive } from '@/data/archive/write-archive'
import { addressOf } from '@/data/store/address-of'
import { store } from '@/data/store/database'
import { houseSettings } from '@/data/house/house'

/** Everything the house keeps, as a zip of open files. */
export function GET() {
  const name = addressOf(houseSettings(store()).name) || 'house'
  return fileAnswer(`${name}.zip`, 'application/zip', () => zippedArchive(store()))
}

/** Takes an archive in. */
export function POST(request: Request) {
  return handle(request, ArchiveRequest, ({ zip }) => takeArchive(store(), Buffer.from(zip, 'base64')))
}
