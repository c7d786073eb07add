import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { houseSettings } from '@/data/house/house'
import { todayView } from '@/data/views/today'
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
