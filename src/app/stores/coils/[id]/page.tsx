import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { idFrom } from '@/boundary/handle'
import { coilView } from '@/data/views/stores-view'
import { CoilSheet } from '@/features/stores/CoilSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'A coil' }

export default async function CoilPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params
  const view = orNotFound(() => coilView(store(), idFrom(id, `There is no coil ${id}.`)))
  return <CoilSheet key={view.coil.lengthLeft} view={view} />
}
