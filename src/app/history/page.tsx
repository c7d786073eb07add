import type { Metadata } from 'next'
import { latestActions } from '@/data/actions-log'
import { store } from '@/data/database'
import { HistorySheet } from '@/features/history/HistorySheet'

export const metadata: Metadata = { title: 'History' }

const SHOWN = 120

export default function HistoryPage() {
  return <HistorySheet actions={latestActions(store(), SHOWN)} />
}
