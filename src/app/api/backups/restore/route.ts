import { handleOutside } from '@/app/api/handle'
import { RestoreRequest } from '@/boundary/requests/backups'
import { backupByName, restore } from '@/data/backup/restore'
import { closeWorkshop, workshopFolder } from '@/data/store/database'

/** Brings the house back as a backup has it. It is closed meanwhile, and opened again by whoever asks next. */
export function POST(request: Request) {
  return handleOutside(request, RestoreRequest, ({ name }) => {
    const backup = backupByName(workshopFolder(), name)
    closeWorkshop()
    restore(workshopFolder(), backup.name)
    return { restored: backup.name }
  })
}
