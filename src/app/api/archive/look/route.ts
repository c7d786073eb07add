import { handle } from '@/app/api/handle'
import { ArchiveRequest } from '@/boundary/requests/archive'
import { lookAtArchive } from '@/data/archive/take-archive'
import { store } from '@/data/store/database'

/** What taking an archive in would do; nothing is written. */
export function POST(request: Request) {
  return handle(request, ArchiveRequest, ({ zip }) => lookAtArchive(store(), Buffer.from(zip, 'base64')))
}
