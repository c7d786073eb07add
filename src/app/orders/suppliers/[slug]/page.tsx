import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { workshopSettings } from '@/data/workshop/settings'
import { catalogue, supplierBySlug } from '@/data/buying/suppliers'
import { SupplierSheet } from '@/features/suppliers/SupplierSheet'
import { orNotFound } from '../../../or-not-found'

export const metadata: Metadata = { title: 'A supplier' }

export default async function SupplierPage({ params }: { readonly params: Promise<{ slug: string }> }) {
  const { slug } = await params
  const supplier = orNotFound(() => supplierBySlug(store(), slug))
  return (
    <SupplierSheet
      supplier={supplier}
      items={catalogue(store(), supplier.id)}
      currency={workshopSettings(store()).currency}
    />
  )
}
