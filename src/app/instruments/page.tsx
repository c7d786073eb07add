import type { Metadata } from 'next'
import type { Asked } from '../asked'
import { shelfPage } from './shelf-page'

export const metadata: Metadata = { title: 'Instruments' }

export default function InstrumentsPage({ searchParams }: { readonly searchParams: Asked }) {
  return shelfPage(
    '/instruments',
    'Instruments',
    'Each is drawn by its own strings. Open one to see, measure or replace a string.',
    searchParams,
  )
}
