import type { Metadata } from 'next'
import { stringsToCut } from '@/data/stores/cutting'
import { store } from '@/data/store/database'
import { CuttingSheet } from '@/features/cutting/CuttingSheet'

export const metadata: Metadata = { title: 'Cutting plan' }

export default function CuttingPage() {
  return <CuttingSheet strings={stringsToCut(store())} />
}
