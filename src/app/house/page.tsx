import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { WorkshopForm } from '@/features/workshop/WorkshopForm'

export const metadata: Metadata = { title: 'House' }

export default function WorkshopPage() {
  const workshop = workshopSettings(store())
  return <WorkshopForm key={JSON.stringify(workshop)} workshop={workshop} />
}
