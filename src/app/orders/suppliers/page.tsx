import type { Metadata } from 'next'
import { store } from '@/data/store/database'
import { allSuppliers } from '@/data/buying/suppliers'
import { workshopSettings } from '@/data/workshop/settings'
import { SupplierList } from '@/features/suppliers/SupplierList'

export const metadata: Metadata = { title: 'Suppliers' }

export default function SuppliersPage() {
  return <SupplierList suppliers={allSuppliers(store())} currency={workshopSettings(store()).currency} />
}
