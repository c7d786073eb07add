import type { Metadata } from 'next'
import { files } from '@/boundary/paths'
import { allOccasions } from '@/data/workshop/occasions'
import { allInstruments } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import { DatesSheet } from '@/features/dates/DatesSheet'
import { askedOrigin } from '../../origin'

export const metadata: Metadata = { title: 'Dates' }

export default async function DatesPage() {
  return (
    <DatesSheet
      dates={allOccasions(store())}
      now={store().now()}
      shelf={allInstruments(store()).map(({ instrument: { slug, name } }) => ({ slug, name }))}
      address={`${await askedOrigin()}${files.calendar}`}
    />
  )
}
