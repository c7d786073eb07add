import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { COIL_ORDERS, coilsPage } from '@/data/views/stores-view'
import { StoresSheet } from '@/features/stores/StoresSheet'
import { oneOf, askedPage, textOf, type Asked } from '../asked'

export const metadata: Metadata = { title: 'Stores' }

/** `?look=` narrows the coils, `?by=` says in which order, `?page=` where one is. */
export default async function StoresPage({ searchParams }: { readonly searchParams: Asked }) {
  const params = await searchParams
  const filter = {
    look: textOf(params, 'look'),
    material: textOf(params, 'material'),
    opened: textOf(params, 'opened'),
    by: oneOf(COIL_ORDERS, textOf(params, 'by')) ?? '',
    down: textOf(params, 'down'),
  }
  const view = coilsPage(store(), {
    look: filter.look,
    material: filter.material === '' ? null : filter.material,
    openedOnly: filter.opened !== '',
    by: oneOf(COIL_ORDERS, filter.by) ?? 'material',
    down: filter.down !== '',
    page: askedPage(params),
  })
  return <StoresSheet view={view} filter={filter} />
}
