import type { Metadata } from 'next'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { HardwareDesk } from '@/features/hardware/HardwareDesk'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Hardware' }

export default async function HardwarePage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, habits, chartMeasured, hardwareMeasured } = orNotFound(() =>
    instrumentBySlug(store(), slug),
  )
  return (
    <HardwareDesk
      instrument={instrument}
      habits={habits}
      measured={chartMeasured === null ? null : Object.fromEntries(hardwareMeasured)}
    />
  )
}
