import type { Metadata } from 'next'
import { workshopSettings } from '@/data/workshop/settings'
import { store } from '@/data/store/database'
import { settlingCurves } from '@/data/views/settling-view'
import { SettlingSheet } from '@/features/settling/SettlingSheet'
import { unitsOf } from '@/ui/format/measure'
import { textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'Settling' }

/** Strings that are listed before all are asked for. */
const LISTED = 40

/** `?all=yes` lists every string that settles. */
export default async function SettlingPage({ searchParams }: { readonly searchParams: Asked }) {
  const workshop = workshopSettings(store())
  const whole = textOf(await searchParams, 'all') !== ''
  const { shown, all } = settlingCurves(store(), whole ? Infinity : LISTED)
  return (
    <SettlingSheet
      curves={shown}
      all={all}
      now={store().now()}
      timeZone={workshop.timeZone}
      units={unitsOf(workshop)}
    />
  )
}
