import { handleOutside } from '@/app/api/handle'
import { Nothing } from '@/boundary/handle'
import { takeBackup } from '@/data/backup/take-backup'
import { ownStore } from '@/data/store/database'

/** Takes a backup now. */
export function POST(request: Request) {
  return handleOutside(request, Nothing, async () => ({ name: await takeBackup(ownStore(), 'by hand') }))
}
