import type { Metadata } from 'next'
import { workshopFolder } from '@/data/store/database'
import { backupsView } from '@/data/views/backups-view'
import { BackupsSheet } from '@/features/backups/BackupsSheet'

export const metadata: Metadata = { title: 'Backups' }

export default function BackupsPage() {
  return <BackupsSheet view={backupsView(workshopFolder())} />
}
