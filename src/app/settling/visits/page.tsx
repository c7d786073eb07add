import type { Metadata } from 'next'
import { occasionsAhead } from '@/data/workshop/occasions'
import { store } from '@/data/store/database'
import { visitsUntil } from '@/data/views/settling-view'
import { VisitsSheet } from '@/features/settling/VisitsSheet'
import { numberIn, textOf, type Asked } from '../../asked'

export const metadata: Metadata = { title: 'Visits until a date' }

/** `?date=` names the date; the next one where none is named. */
export default async function VisitsPage({ searchParams }: { readonly searchParams: Asked }) {
  const date = textOf(await searchParams, 'date')
  return (
    <VisitsSheet
      until={visitsUntil(store(), numberIn(date))}
      dates={occasionsAhead(store())
        .filter(({ at }) => at > store().now())
        .map(({ id, name }) => ({ id, name }))}
    />
  )
}
