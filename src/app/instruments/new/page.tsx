import type { Metadata } from 'next'
import { NewInstrumentPage } from './NewInstrumentPage'

export const metadata: Metadata = { title: 'A new instrument' }

export default function Page() {
  return <NewInstrumentPage />
}
