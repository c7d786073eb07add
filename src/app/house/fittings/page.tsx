import type { Metadata } from 'next'
import { store } from '@/data/database'
import { pastFittings } from '@/data/fitting-history'
import { houseLearned } from '@/data/jobs'
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
