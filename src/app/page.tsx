import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings, isBegun } from '@/data/workshop/settings'
import { todayView } from '@/data/views/today'
import { BesideToday } from '@/features/today/BesideToday'
import { toldToday } from '@/features/today/told-today'
import { WaitingLists } from '@/features/today/WaitingLists'
import { unitsOf } from '@/ui/format/measure'
import { textOf, type Asked } from './asked'
import { FirstPage } from './FirstPage'
import { TodayPage } from './TodayPage'

export const metadata: Metadata = { title: 'Today · Taut Pinset' }

/** `?all=yes` shows every line of every list. */
export default async function Page({ searchParams }: { readonly searchParams: Asked }) {
  if (!isBegun(store())) return <FirstPage />
  const whole = textOf(await searchParams, 'all') !== ''
  const workshop = workshopSettings(store())
  const view = todayView(store(), whole)
  return (
    <TodayPage
      today={toldToday(view, store().now(), workshop.timeZone, unitsOf(workshop))}
      tolerance={workshop.retuneAtCents}
      beside={<BesideToday />}
      waiting={<WaitingLists left={view.left} orders={view.orders} />}
    />
  )
}
