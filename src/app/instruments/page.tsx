import type { Metadata } from 'next'
import { store } from '@/data/database'
import { shelfView } from '@/data/shelf-view'
import { InstrumentShelf } from '@/features/instruments/InstrumentShelf'

export const metadata: Metadata = { title: 'Instruments' }

export default function InstrumentsPage() {
  return <InstrumentShelf title="Instruments" lead="Each is shown by its own string field." instruments={shelfView(store())} />
}
