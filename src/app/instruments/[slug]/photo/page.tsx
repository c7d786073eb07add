import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { PhotoSheet } from '@/features/photo/PhotoSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'From a photograph' }

export default async function PhotoPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, chartMeasured } = orNotFound(() => instrumentBySlug(store(), slug))
  if (chartMeasured === null) notFound()
  return <PhotoSheet instrument={instrument} measured={chartMeasured} />
}
