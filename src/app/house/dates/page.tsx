import type { Metadata } from 'next'
import { headers } from 'next/headers'
import { files } from '@/boundary/paths'
import { allOccasions } from '@/data/house/occasions'
import { allInstruments } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { DatesSheet } from '@/features/dates/DatesSheet'

export const metadata: Metadata = { title: 'Dates' }

export default async function DatesPage() {
  const host = (await headers()).get('host') ?? 'localhost'
  return (
    <DatesSheet
      dates={allOccasions(store())}
      now={store().now()}
      shelf={allInstruments(store()).map(({ instrument: { slug, name } }) => ({ slug, name }))}
      address={`http://${host}${files.calendar}`}
    />
  )
}
