import type { Metadata } from 'next'
import { shelf } from '@/data/coils'
import { store } from '@/data/database'
import { openNeeds } from '@/data/need-list'
import { StoresSheet } from '@/features/stores/StoresSheet'

export const metadata: Metadata = { title: 'Stores' }

export default function StoresPage() {
  return <StoresSheet coils={shelf(store())} needs={openNeeds(store())} />
}
