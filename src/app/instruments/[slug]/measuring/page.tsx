import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { measuringPlan } from '@/core/measuring/worth'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { MeasuringSheet } from '@/features/measuring/MeasuringSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Measuring' }

export default async function MeasuringPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, habits, chartMeasured: measured } = orNotFound(() => instrumentBySlug(store(), slug))
  if (measured === null) notFound()
  return (
    <MeasuringSheet
      slug={slug}
      name={instrument.name}
      count={measured.length}
      positions={instrument.positions}
      plan={measuringPlan(instrument, habits, measured)}
    />
  )
}
