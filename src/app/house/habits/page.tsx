import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { HabitsSheet } from '@/features/habits/HabitsSheet'

export const metadata: Metadata = { title: 'Habits' }

export default function WorkshopHabitsPage() {
  const { habits, name } = workshopSettings(store())
  return (
    <div className="sheet p-4 md:p-6">
      <h1 className="text-2xl font-semibold">Habits of {name}</h1>
      <p className="mt-1 mb-5 max-w-prose text-soft">
        Practitioners differ here, and none of these is wrong. Each is chosen once and changes the figures and
        steps of the jobs from now on; an instrument or a single job may have its own.
      </p>
      <HabitsSheet whose={{ of: 'house' }} habits={habits} own={{}} otherwise="the house" />
    </div>
  )
}
