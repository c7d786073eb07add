import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { kitForDate } from '@/data/views/before-date'
import { KitSheet } from '@/features/wear/KitSheet'
import { numberIn, textOf, type Asked } from '../../asked'
import { orNotFound } from '../../or-not-found'

export const metadata: Metadata = { title: 'What to carry' }

/** `?date=` names the date. */
export default async function KitPage({ searchParams }: { readonly searchParams: Asked }) {
  const date = numberIn(textOf(await searchParams, 'date'))
  return <KitSheet kit={orNotFound(() => kitForDate(store(), date))} />
}
