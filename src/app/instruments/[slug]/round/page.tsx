import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { roundBench } from '@/data/views/round-view'
import { RoundSheet } from '@/features/tune/RoundSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Tune all' }

interface RoundPageProps {
  readonly params: Promise<{ slug: string }>
}

export default async function RoundPage({ params }: RoundPageProps) {
  const { slug } = await params
  return <RoundSheet bench={orNotFound(() => roundBench(store(), slug))} />
}
