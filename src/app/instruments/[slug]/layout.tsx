import type { ReactNode } from 'react'
import { store } from '@/data/store/database'
import { instrumentBySlug } from '@/data/instruments/instruments'
import { NamesAs } from '@/ui/units'
import { orNotFound } from '../../or-not-found'

/** Every sheet of an instrument leads with the name that the instrument does. */
export default async function InstrumentLayout({
  params,
  children,
}: {
  params: Promise<{ slug: string }>
  children: ReactNode
}) {
  const { slug } = await params
  const { habits } = orNotFound(() => instrumentBySlug(store(), slug))
  return <NamesAs scheme={habits.octaveNames}>{children}</NamesAs>
}
