import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { coilRows } from '@/data/views/stores-view'
import { StoresSheet } from '@/features/stores/StoresSheet'

export const metadata: Metadata = { title: 'Stores' }

export default function StoresPage() {
  return <StoresSheet coils={coilRows(store())} />
}
