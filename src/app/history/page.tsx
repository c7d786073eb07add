import type { Metadata } from 'next'
import { actionsLog } from '@/data/views/actions-log'
import { store } from '@/data/store/database'
import { HistorySheet } from '@/features/history/HistorySheet'

export const metadata: Metadata = { title: 'History' }

const SHOWN = 120

export default async function HistoryPage({
  searchParams,
}: {
  searchParams: Promise<{ before?: string | string[]; steps?: string | string[] }>
}) {
  const { before, steps } = await searchParams
  const from = typeof before === 'string' && /^\d{1,12}$/.test(before) ? Number(before) : null
  return (
    <HistorySheet
      {...actionsLog(store(), SHOWN, from, steps === 'shown')}
      steps={steps === 'shown'}
      from={from}
    />
  )
}
