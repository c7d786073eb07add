import type { Metadata } from 'next'
import type { Asked } from '../asked'
import { shelfPage } from '../instruments/shelf-page'
import { pages } from '@/boundary/paths'

export const metadata: Metadata = { title: 'A string broke' }

export default function BrokePage({ searchParams }: { readonly searchParams: Asked }) {
  return shelfPage(
    pages.broke,
    'A string broke',
    'On which instrument? You pick the string next, and then say where it gave way.',
    searchParams,
  )
}
