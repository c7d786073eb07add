import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { shelfView } from '@/data/views/shelf-view'
import { InstrumentShelf } from '@/features/instruments/InstrumentShelf'

export const metadata: Metadata = { title: 'Instruments' }

export default function InstrumentsPage() {
  return (
    <InstrumentShelf
      title="Instruments"
      lead="Each is drawn by its own strings. Open one to see, measure or replace a string."
      instruments={shelfView(store())}
    />
  )
}
