import type { Metadata } from 'next'
import { workshopSettings } from '@/data/workshop/settings'
import { store } from '@/data/store/database'
import { settlingString } from '@/data/views/settling-view'
import { SettlingStringSheet } from '@/features/settling/SettlingStringSheet'
import { unitsOf } from '@/ui/format/measure'
import { numberIn, textOf, type Asked } from '../../asked'
import { orNotFound } from '../../or-not-found'

export const metadata: Metadata = { title: 'How it settles' }

interface SettlingStringPageProps {
  readonly params: Promise<{ readonly id: string }>
  readonly searchParams: Asked
}

/** `?at=` names one of the positions of a wire that is two strings. */
export default async function SettlingStringPage({ params, searchParams }: SettlingStringPageProps) {
  const workshop = workshopSettings(store())
  const { id } = await params
  const at = textOf(await searchParams, 'at')
  return (
    <SettlingStringSheet
      string={orNotFound(() => settlingString(store(), numberIn(id) ?? -1, numberIn(at)))}
      now={store().now()}
      timeZone={workshop.timeZone}
      units={unitsOf(workshop)}
      holdsWithin={workshop.holdsWithinCents}
    />
  )
}
