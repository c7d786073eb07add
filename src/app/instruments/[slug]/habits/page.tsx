import type { Metadata } from 'next'
import { pages } from '@/boundary/paths'
import { store } from '@/data/store/database'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { HabitsSheet } from '@/features/habits/HabitsSheet'
import { BackLink } from '@/ui/shell/BackLink'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'Habits' }

export default async function InstrumentHabitsPage({ params }: { params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const { instrument, habits, ownHabits } = orNotFound(() => instrumentBySlug(store(), slug))
  return (
    <div className="sheet p-4 md:p-6">
      <BackLink to={pages.instrument(slug)}>{instrument.name}</BackLink>
      <h1 className="text-2xl font-semibold">How {instrument.name} is strung</h1>
      <p className="mt-1 mb-5 max-w-prose text-soft">
        What is chosen here holds for {instrument.name} alone; the rest is as the house does. The maker’s
        string chart comes first.
      </p>
      <HabitsSheet whose={{ of: 'instrument', slug }} habits={habits} own={ownHabits} otherwise="the house" />
    </div>
  )
}
