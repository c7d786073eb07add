import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { shelfView } from '@/data/views/shelf-view'
import { InstrumentShelf } from '@/features/instruments/InstrumentShelf'

export const metadata: Metadata = { title: 'A string broke' }

export default function BrokePage() {
  return (
    <InstrumentShelf
      title="A string broke"
      lead="On which instrument? You pick the string next, and then say where it gave way."
      instruments={shelfView(store())}
    />
  )
}
