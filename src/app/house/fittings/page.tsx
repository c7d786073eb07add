import type { Metadata } from 'next'
import { store } from '@/data/database'
import { pastFittings } from '@/data/fitting-history'
import { houseCorrections } from '@/data/jobs'
import { FittingHistory } from '@/features/house/FittingHistory'

export const metadata: Metadata = { title: 'Worked out and measured' }

export default function FittingsPage() {
  return <FittingHistory fittings={pastFittings(store())} corrections={houseCorrections(store())} />
}
