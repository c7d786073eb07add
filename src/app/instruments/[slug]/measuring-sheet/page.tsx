import type { Metadata } from 'next'
import { pages } from '@/boundary/paths'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { MeasuringOnPaper } from '@/features/hardware/MeasuringOnPaper'
import { orNotFound } from '../../../or-not-found'
import { askedOrigin } from '../../../origin'

export const metadata: Metadata = { title: 'Measuring sheet' }

export default async function MeasuringSheetPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, chartMeasured } = orNotFound(() => instrumentBySlug(store(), slug))
  const origin = await askedOrigin()
  return (
    <MeasuringOnPaper
      instrument={instrument}
      isAssumed={chartMeasured !== null}
      address={`${origin}${pages.instrumentSheet(slug, 'hardware')}`}
    />
  )
}
