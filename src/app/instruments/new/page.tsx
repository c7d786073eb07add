import type { Metadata } from 'next'
import { NewInstrumentForm } from '@/features/new-instrument/NewInstrumentForm'

export const metadata: Metadata = { title: 'A new instrument' }

export default function NewInstrumentPage() {
  return <NewInstrumentForm />
}
