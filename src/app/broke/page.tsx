import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { pages } from '@/boundary/paths'
import { allInstruments } from '@/data/instruments/instruments'
import { store } from '@/data/store/database'
import type { Asked } from '../asked'
import { shelfPage } from '../instruments/shelf-page'

export const metadata: Metadata = { title: 'A string broke' }

export default function BrokePage({ searchParams }: { readonly searchParams: Asked }) {
  const [only, another] = allInstruments(store())
  // Nobody is asked which one it is where there is one.
  if (only && !another) redirect(pages.brokeOn(only.instrument.slug))
  return shelfPage(pages.broke, 'A string broke', 'On which instrument?', searchParams, 'brokeOn')
}
