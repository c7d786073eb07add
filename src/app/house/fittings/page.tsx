import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { pastFittings } from '@/data/views/fitting-history'
import { houseLearned } from '@/data/jobs/jobs'
import { FittingHistory } from '@/features/house/FittingHistory'

export const metadata: Metadata = { title: 'Worked out and measured' }

export default function FittingsPage() {
  const learned = houseLearned(store())
  return (
    <FittingHistory
      fittings={pastFittings(store())}
      learned={learned.kinds.map((kind) => ({ kind, corrections: learned.correctionsFor(kind) }))}
    />
  )
}
