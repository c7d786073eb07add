import type { Metadata } from 'next'
import { store } from '@/data/database'
import { houseSettings } from '@/data/house'
import { todayView } from '@/data/today'
import { TodayPage } from './TodayPage'

export const metadata: Metadata = { title: 'Today · Taut Pinset' }

export default function Page() {
  return (
    <TodayPage
      view={todayView(store())}
      now={store().now()}
      tolerance={houseSettings(store()).retuneAtCents}
    />
  )
}
