import type { Metadata } from 'next'
import { ArchiveSheet } from '@/features/archive/ArchiveSheet'

export const metadata: Metadata = { title: 'Archive' }

export default function ArchivePage() {
  return <ArchiveSheet />
}
