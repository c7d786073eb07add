import type { Metadata } from 'next'
import type { Asked } from '../asked'
import { shelfPage } from './shelf-page'
import { pages } from '@/boundary/paths'

export const metadata: Metadata = { title: 'Instruments' }

export default function InstrumentsPage({ searchParams }: { readonly searchParams: Asked }) {
  return shelfPage(
    pages.instruments,
    'Instruments',
    'Each is drawn by its own strings. Open one to see, measure or replace a string.',
    searchParams,
  )
}
