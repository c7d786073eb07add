import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { ChartDesk } from '@/features/chart/ChartDesk'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'String chart' }

export default async function ChartPage({ params }: { readonly params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, habits } = orNotFound(() => instrumentBySlug(store(), slug))
  return <ChartDesk instrument={instrument} octaveNames={habits.octaveNames} now={store().now()} />
}
