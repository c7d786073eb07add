import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { beforeDate } from '@/data/views/before-date'
import { BeforeDateSheet } from '@/features/wear/BeforeDateSheet'
import { numberIn, textOf, type Asked } from '../../asked'
import { orNotFound } from '../../or-not-found'

export const metadata: Metadata = { title: 'Before a date' }

/** `?date=` names the date and `on=` the instrument; the next date and the first it is for where none is named. */
export default async function BeforeDatePage({ searchParams }: { readonly searchParams: Asked }) {
  const asked = await searchParams
  const date = numberIn(textOf(asked, 'date'))
  const on = textOf(asked, 'on')
  const before = orNotFound(() => beforeDate(store(), date, on === '' ? null : on))
  return <BeforeDateSheet key={before && `${before.date.id} ${before.slug}`} before={before} />
}
